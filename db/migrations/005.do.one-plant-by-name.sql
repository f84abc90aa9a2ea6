-- A plant is known by its name: of those that had one twice, the later ones are counted.
update plants p set name = p.name || ' (' || n.nth || ')'
from (select id, row_number() over (partition by name order by id) as nth from plants) n
where n.id = p.id and n.nth > 1;
alter table plants add constraint plants_name unique (name);
