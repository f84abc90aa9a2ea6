-- What a panel builder tested together: one table for each file that was brought in, as its rows were read.
create table combination_tables (
  plant_id uuid not null references plants,
  name text not null check (length(name) between 1 and 200),
  rows jsonb not null,
  created_at timestamptz not null default now(),
  primary key (plant_id, name)
);
