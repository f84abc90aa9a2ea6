-- Days until a quoted motor is here, and the position a spare is kept for (its tag or name).
alter table shelf_motors
  add column days integer check (days >= 0),
  add column kept_for text not null default '' check (length(kept_for) <= 200);
