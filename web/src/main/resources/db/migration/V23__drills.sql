-- Colours mixed by eye in a drill, as they were asked and as they were given; never ranked.
create table drill_answer (
  id bigint generated always as identity primary key,
  study_id bigint not null references study (id) on delete cascade,
  asked varchar(7) not null,
  given varchar(7) not null,
  answered_at timestamp with time zone not null
);
create index drill_answer_study on drill_answer (study_id, id);
