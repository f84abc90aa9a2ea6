-- Rounds: what was read at a position, each time once, as the open format has it.
create table rounds (
  id uuid primary key,
  position_id uuid not null references positions,
  at timestamptz not null,
  reading jsonb not null,
  created_at timestamptz not null default now(),
  unique (position_id, at)
);
