-- Where prices go by the time of the week, the mean of them over the new way's year is what its energy costs.
drop index revisions_listed;
alter table revisions
  drop column energy_price,
  drop column energy_cost;
alter table revisions
  add column energy_price text generated always as (
    coalesce(result -> 'figures' -> 'cost.newPrice' ->> 'value', case_text -> 'money' ->> 'energyPrice')) stored,
  add column energy_cost double precision generated always as (
    case
      when jsonb_typeof(result -> 'figures' -> 'cost.newEnergy' -> 'value') = 'number'
        and jsonb_typeof(coalesce(result -> 'figures' -> 'cost.newPrice' -> 'value',
          case_text -> 'money' -> 'energyPrice')) = 'number'
      then (result -> 'figures' -> 'cost.newEnergy' -> 'value')::double precision
        * coalesce(result -> 'figures' -> 'cost.newPrice' -> 'value',
          case_text -> 'money' -> 'energyPrice')::double precision
    end) stored;
create index revisions_listed on revisions (id)
  include (state_rank, open_stations, energy_cost, machine, chosen_power, chosen_enclosure, chosen_method);
