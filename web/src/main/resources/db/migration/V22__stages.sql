-- The order in which the user goes through the stages, where it is not the usual one.
create table draw_stage (
  study_id bigint not null references study (id) on delete cascade,
  stage varchar(20) not null,
  place integer not null,
  left_out boolean not null,
  primary key (study_id, stage)
);

-- How long a stage of one drawing took, by the clock or typed in at the end.
create table sitting_time (
  sitting_id bigint not null references sitting (id) on delete cascade,
  stage varchar(20) not null,
  minutes integer not null check (minutes between 0 and 60000),
  primary key (sitting_id, stage)
);
