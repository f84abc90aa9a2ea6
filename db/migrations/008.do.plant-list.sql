-- What the plant list is sorted and filtered by, beside what it shows: a page of it is found without reading results.
create collation by_number (provider = icu, locale = 'en-u-kn-true');

alter table revisions
  -- The worst of its stations: 0 stopped, 1 with cautions, 2 nothing chosen, 3 solved.
  add column state_rank smallint generated always as (
    case
      when jsonb_path_exists(result -> 'stations', '$.*.state ? (@ == "stop")') then 0
      when jsonb_typeof(result -> 'choice') is distinct from 'object' then 2
      when jsonb_path_exists(result -> 'stations', '$.*.state ? (@ == "caution")') then 1
      else 3
    end) stored,
  add column open_stations smallint generated always as (
    jsonb_array_length(jsonb_path_query_array(result -> 'stations', '$.*.state ? (@ == "empty")'))) stored,
  -- Money a year for the energy of the standing choice.
  add column energy_cost double precision generated always as (
    case
      when jsonb_typeof(result -> 'figures' -> 'cost.newEnergy' -> 'value') = 'number'
        and jsonb_typeof(case_text -> 'money' -> 'energyPrice') = 'number'
      then (result -> 'figures' -> 'cost.newEnergy' -> 'value')::double precision
        * (case_text -> 'money' -> 'energyPrice')::double precision
    end) stored;

create index studies_of_position on studies (position_id, nth);
create index positions_by_tag on positions (tag) where deleted_at is null;
-- Revisions are wide: what a whole plant is sorted and found by is read from here alone.
create index revisions_listed on revisions (id)
  include (state_rank, open_stations, energy_cost, machine, chosen_power, chosen_enclosure, chosen_method);
