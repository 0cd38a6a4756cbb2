-- A sheet that came as a file, as it came: the study of it has no works of its own to make rules of.
create table sheet_file (
  study_id bigint primary key references study on delete cascade,
  file text not null
);

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on sheet_file
  for each row execute function note_change('study_id');
/* [jooq ignore stop] */
