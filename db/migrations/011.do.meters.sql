-- What a power meter showed: each second for some days, each minute for some months, each hour for good.
create table meter_seconds (
  position_id uuid not null references positions,
  at timestamptz not null,
  power real not null,
  current real not null,
  voltage real not null,
  power_factor real not null,
  distortion real not null,
  energy double precision not null,
  primary key (position_id, at)
);

-- Rolled up: how many seconds were read, and the least, mean and most of them.
create table meter_minutes (
  position_id uuid not null references positions,
  at timestamptz not null,
  seconds integer not null,
  power_least real not null,
  power_mean double precision not null,
  power_most real not null,
  current_most real not null,
  voltage_least real not null,
  voltage_most real not null,
  energy double precision not null,
  primary key (position_id, at)
);
create table meter_hours (like meter_minutes including all);
alter table meter_hours add foreign key (position_id) references positions;
