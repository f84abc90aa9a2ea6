-- Meters that are recorded, so that a server that starts again goes on reading them.
create table meter_links (
  position_id uuid primary key references positions,
  host text not null,
  port integer not null check (port between 1 and 65535),
  unit integer not null
);
