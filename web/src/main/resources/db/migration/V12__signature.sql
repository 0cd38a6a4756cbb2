-- The acts that make or break a style, as the user has accepted them, the strongest first, each in
-- the user's own words where they gave some; and one word that stands over all of them.
create table make_or_break (
  study_id bigint not null references study on delete cascade,
  place int not null check (place between 1 and 6),
  act varchar(60) not null,
  words text not null default '',
  primary key (study_id, place),
  unique (study_id, act)
);

alter table study add column headline text not null default '';

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on make_or_break
  for each row execute function note_change('study_id');
/* [jooq ignore stop] */
