-- A row for every change of a study, by whatever writes it. How many there are and the newest of
-- them tell whether what was made of a study still holds. Rows are only added, so no two writers
-- wait for each other; they are let go when the application starts.
create table study_change (
  id bigint generated always as identity primary key,
  study_id bigint not null
);
create index study_change_study on study_change (study_id, id);

/* [jooq ignore start] */
create function note_change() returns trigger language plpgsql as $$
declare
  changed jsonb;
  study bigint;
begin
  if tg_op = 'DELETE' then changed := to_jsonb(old); else changed := to_jsonb(new); end if;
  study := (changed ->> tg_argv[0])::bigint;
  if tg_argv[0] = 'work_id' then
    select study_id into study from work where id = study;
  end if;
  if study is not null then
    insert into study_change (study_id) values (study);
  end if;
  return null;
end $$;

do $$ declare name text; begin
  create trigger note_change after insert or update or delete on study
    for each row execute function note_change('id');
  foreach name in array array['work', 'improvised', 'group_kind', 'way_out', 'process_note'] loop
    execute format('create trigger note_change after insert or update or delete on %I
      for each row execute function note_change(''study_id'')', name);
  end loop;
  foreach name in array array['marking', 'repeat_marking', 'work_part', 'work_trait', 'tick', 'pick',
      'figure_stroke', 'role_colour'] loop
    execute format('create trigger note_change after insert or update or delete on %I
      for each row execute function note_change(''work_id'')', name);
  end loop;
end $$;
/* [jooq ignore stop] */
