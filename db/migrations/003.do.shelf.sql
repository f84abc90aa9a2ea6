-- Motors a plant has on its own shelf or quoted to it: what their plates say, how many, and where.
create table shelf_motors (
  id uuid primary key,
  plant_id uuid not null references plants,
  name text not null check (length(name) between 1 and 200),
  plate jsonb not null,
  quantity integer not null check (quantity >= 0),
  place text not null default '' check (length(place) <= 200),
  price double precision check (price >= 0),
  created_at timestamptz not null default now()
);
create index shelf_motors_by_plant on shelf_motors (plant_id, name);

-- Counts up with every change of a plant's shelf, so that what was made of it can be kept until then.
alter table plants add column shelf_version integer not null default 0;
