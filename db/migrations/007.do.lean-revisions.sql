-- A revision keeps of its result what was answered (pilgrim.kept/1); what earlier versions kept whole is made lean at
-- the next start.
alter table revisions add column lean boolean not null default false;
create index revisions_not_lean on revisions (id) where not lean;
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' and not old.lean and new.lean
    and (new.id, new.study_id, new.parent, new.case_text, new.core_version, new.author, new.note, new.created_at)
      is not distinct from
        (old.id, old.study_id, old.parent, old.case_text, old.core_version, old.author, old.note, old.created_at)
  then
    return new;
  end if;
  raise exception 'revisions are immutable';
end $$;
