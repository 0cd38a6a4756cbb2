-- A picture's file, untouched, by the hash of its content.
create table picture (
  sha256 varchar(64) primary key,
  media_type varchar(40) not null,
  width_pixels integer not null,
  height_pixels integer not null,
  bytes bytea not null,
  taken_in_at timestamp with time zone not null
);

create table study (
  id bigint generated always as identity primary key,
  name varchar(200) not null,
  illustrator varchar(200) not null,
  reason varchar(2000) not null,
  credit varchar(500) not null,
  canvas_width_pixels integer not null,
  canvas_height_pixels integer not null,
  begun_at timestamp with time zone not null
);

-- One picture in one study: a source, the own character, or an attempt at redrawing it.
create table work (
  id bigint generated always as identity primary key,
  study_id bigint not null references study (id) on delete cascade,
  picture_sha256 varchar(64) not null references picture (sha256),
  role varchar(20) not null,
  number integer not null,
  title varchar(200) not null,
  credit varchar(500) not null,
  view varchar(20) not null,
  taken_in_at timestamp with time zone not null,
  unique (study_id, role, number),
  unique (study_id, role, picture_sha256)
);

-- Every save of a marking is a row of its own, so that nothing a user marked is ever lost.
create table marking (
  work_id bigint not null references work (id) on delete cascade,
  version integer not null,
  landmarks jsonb not null,
  saved_at timestamp with time zone not null,
  primary key (work_id, version)
);

-- What the pixels of a picture tell; can always be read again.
create table pixel_reading (
  picture_sha256 varchar(64) primary key references picture (sha256),
  state varchar(20) not null,
  step varchar(20) not null,
  algorithm_version integer not null,
  readings jsonb,
  message varchar(500) not null,
  changed_at timestamp with time zone not null
);
