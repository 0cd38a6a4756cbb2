-- Readings lie by all that they were read from: the picture, the marks and strokes they heeded, and
-- the version of the code. Works with equal inputs share them. What was read before is read again.
drop table pixel_reading;
create table pixel_reading (
  inputs_hash varchar(64) primary key,
  picture_sha256 varchar(64) not null references picture (sha256) on delete cascade,
  inputs jsonb not null,
  algorithm_version integer not null,
  state varchar(20) not null,
  step varchar(20) not null,
  readings jsonb,
  message varchar(500) not null,
  changed_at timestamp with time zone not null
);
create index pixel_reading_picture on pixel_reading (picture_sha256);

-- The readings a work waits for, and those that are shown until then.
alter table work add column wanted_reading varchar(64);
alter table work add column shown_reading varchar(64);
create index work_wanted_reading on work (wanted_reading);
create index work_shown_reading on work (shown_reading);
