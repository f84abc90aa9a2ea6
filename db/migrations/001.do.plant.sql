-- Plants, areas and positions; studies and their immutable revisions; what can be bought; house rules.
create table plants (
  id uuid primary key,
  name text not null check (length(name) between 1 and 200)
);

create table areas (
  id uuid primary key,
  plant_id uuid not null references plants,
  name text not null check (length(name) between 1 and 200),
  place integer not null default 0,
  unique (plant_id, name)
);

create table positions (
  id uuid primary key,
  area_id uuid not null references areas,
  tag text not null check (length(tag) between 1 and 60),
  name text not null check (length(name) between 1 and 200),
  version integer not null default 1,
  created_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index positions_by_area on positions (area_id);

create table studies (
  id uuid primary key,
  position_id uuid not null references positions,
  name text not null,
  head uuid
);
create index studies_by_position on studies (position_id);

create table revisions (
  id uuid primary key,
  study_id uuid not null references studies,
  parent uuid references revisions,
  case_text jsonb not null,
  result jsonb not null,
  core_version text not null,
  author text not null,
  note text not null default '',
  created_at timestamptz not null default now()
);
create index revisions_by_study on revisions (study_id, created_at desc);
alter table studies add constraint studies_head foreign key (head) references revisions deferrable initially deferred;

create table catalogue_items (
  id text primary key,
  kind text not null check (kind in ('motor', 'starter', 'drive')),
  plant_id uuid references plants,
  item jsonb not null
);

create table house_rules (
  plant_id uuid not null references plants,
  rule text not null,
  value jsonb not null,
  primary key (plant_id, rule)
);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'revisions are immutable';
end $$;
create trigger revisions_immutable before update or delete on revisions
  for each row execute function refuse_change();
