-- A position stands as its sheet does, which rests on all of its stations. Earlier cores told no reasons: of theirs a
-- caution anywhere still counts.
drop index revisions_listed;
alter table revisions
  drop column state_rank,
  drop column open_stations;
alter table revisions
  -- 0 stopped, 1 with cautions, 2 nothing chosen, 3 holds on conditions, 4 solved.
  add column state_rank smallint generated always as (
    case
      when jsonb_path_exists(result -> 'stations', '$.*.state ? (@ == "stop")') then 0
      when jsonb_typeof(result -> 'choice') is distinct from 'object' then 2
      when result -> 'stations' -> 'sheet' ->> 'state' = 'caution' then 1
      when result -> 'stations' -> 'sheet' ->> 'state' = 'condition' then 3
      when not jsonb_path_exists(result -> 'stations', '$.*.because')
        and jsonb_path_exists(result -> 'stations', '$.*.state ? (@ == "caution")') then 1
      else 4
    end) stored,
  add column open_stations smallint generated always as (
    jsonb_array_length(jsonb_path_query_array(result -> 'stations', '$.*.state ? (@ == "empty" || @ == "waits")'))) stored;
create index revisions_listed on revisions (id)
  include (state_rank, open_stations, energy_cost, machine, chosen_power, chosen_enclosure, chosen_method);
