-- Boxes to look at while drawing, one part each, in pixels of the picture.
create table pick (
  id bigint generated always as identity primary key,
  work_id bigint not null references work (id) on delete cascade,
  part varchar(20) not null,
  x double precision not null,
  y double precision not null,
  width double precision not null,
  height double precision not null,
  mirrored boolean not null
);

-- A figure of a picture with several, framed as a work of its own.
alter table work add column framed_from bigint references work (id) on delete set null;

-- Lines, shapes and words drawn over a work; the newest row is shown, older ones are kept.
create table drawn_note (
  work_id bigint not null references work (id) on delete cascade,
  version integer not null,
  shapes jsonb not null,
  saved_at timestamp with time zone not null,
  primary key (work_id, version)
);

-- What the figure in a work is like: hair colour, build, glasses.
create table work_trait (
  work_id bigint not null references work (id) on delete cascade,
  trait varchar(20) not null,
  value varchar(60) not null,
  primary key (work_id, trait)
);

-- How a trait of the own character that the study never shows will be drawn all the same.
create table way_out (
  study_id bigint not null references study (id) on delete cascade,
  trait varchar(20) not null,
  way varchar(20) not null,
  note varchar(500) not null,
  primary key (study_id, trait)
);

-- What was seen of the illustrator at work, in order.
create table process_note (
  id bigint generated always as identity primary key,
  study_id bigint not null references study (id) on delete cascade,
  minute integer,
  stage varchar(20) not null,
  text varchar(500) not null
);

-- What kind of study it is, per group of measures where it differs.
alter table study add column kind varchar(20) default 'copy' not null;
-- The one part it looks at, or empty for all.
alter table study add column part varchar(20) default '' not null;
-- The study it follows on a path from analysis to copy to original.
alter table study add column follows_study_id bigint references study (id) on delete set null;
create table group_kind (
  study_id bigint not null references study (id) on delete cascade,
  measure_group varchar(20) not null,
  kind varchar(20) not null,
  primary key (study_id, measure_group)
);
