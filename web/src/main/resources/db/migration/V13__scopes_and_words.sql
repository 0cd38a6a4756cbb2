-- What a face shows, and how far an attempt has come, in the user's word; empty where the machine's
-- guess stands.
alter table work
  add column mood varchar(20) not null default ''
    check (mood in ('', 'calm', 'glad', 'sad', 'cross', 'startled', 'sly', 'keen')),
  add column stage varchar(20) not null default ''
    check (stage in ('', 'rough', 'line', 'flats', 'finished'));

-- What the user says over the rules, one after another; the newest of a kind stands, and the last
-- is taken back by letting it go. Bands are in the measure's own unit.
create table saying (
  id bigint generated always as identity primary key,
  study_id bigint not null references study on delete cascade,
  kind varchar(20) not null check (kind in ('band', 'as-works', 'leave-out', 'take-back', 'words')),
  -- A measure's key, or an act's for words.
  about varchar(60) not null,
  low double precision,
  high double precision,
  work_id bigint references work on delete cascade,
  text text not null default '',
  said_at timestamp with time zone not null,
  check ((kind = 'band') = (low is not null and high is not null)),
  check ((kind in ('leave-out', 'take-back')) = (work_id is not null))
);
create index saying_study on saying (study_id, id);
create index saying_work on saying (work_id);

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on saying
  for each row execute function note_change('study_id');
/* [jooq ignore stop] */
