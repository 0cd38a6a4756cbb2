-- Acts that the user does not aim at in a study: no redraw is held against them.
create table not_my_aim (
  study_id bigint not null references study (id) on delete cascade,
  act varchar(160) not null,
  primary key (study_id, act)
);

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on not_my_aim
  for each row execute function note_change('study_id');
/* [jooq ignore stop] */
