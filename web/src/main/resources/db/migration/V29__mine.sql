-- What the user's own figure is like, of the words that part the works: asked once on the plan.
create table figure_word (
  study_id bigint not null references study (id) on delete cascade,
  word varchar(60) not null,
  carried boolean not null,
  primary key (study_id, word)
);

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on figure_word
  for each row execute function note_change('study_id');
/* [jooq ignore stop] */
