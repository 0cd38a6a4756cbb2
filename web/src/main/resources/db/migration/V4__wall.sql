-- Whether the file's colour profile was used: none, converted, broken. Unknown for older pictures.
alter table picture add column profile varchar(10) default 'none' not null;
-- By which copies of a picture are told; null for pictures of before.
alter table picture add column fingerprint bytea;

-- Smaller copies for the wall, and pixels of files that browsers do not show. Can be made again.
create table rendition (
  picture_sha256 varchar(64) not null references picture (sha256) on delete cascade,
  -- 0 is the full size
  longer_side integer not null,
  media_type varchar(40) not null,
  bytes bytea not null,
  primary key (picture_sha256, longer_side)
);

alter table work add column framing varchar(20) default '' not null;
alter table work add column turn varchar(20) default '' not null;
alter table work add column kind varchar(20) default '' not null;
alter table work add column period varchar(100) default '' not null;
alter table work add column manner varchar(100) default '' not null;
alter table work add column weight double precision default 1 not null;
alter table work add column notes varchar(4000) default '' not null;
-- Where the light comes from, degrees clockwise from above; null where nobody said.
alter table work add column light_degrees integer;
-- Left out of rules, coverage and range, and still on the wall.
alter table work add column left_out boolean default false not null;

-- Parts a work shows or does not show, where the user said so against what its framing tells.
create table work_part (
  work_id bigint not null references work (id) on delete cascade,
  part varchar(20) not null,
  shown boolean not null,
  primary key (work_id, part)
);

-- Two works that look alike and are both wanted.
create table told_apart (
  first_work_id bigint not null references work (id) on delete cascade,
  second_work_id bigint not null references work (id) on delete cascade,
  primary key (first_work_id, second_work_id)
);

-- Where a work lies on a freely arranged wall, in pixels of the wall at full size.
alter table work add column wall_x double precision;
alter table work add column wall_y double precision;
alter table work add column wall_width double precision;
-- Works of one group move together.
alter table work add column wall_group integer;
alter table study add column wall varchar(10) default 'rows' not null;
-- The one work a study leans on.
alter table study add column anchor_work_id bigint references work (id) on delete set null;

-- Gaps that will be improvised knowingly. An empty view is every view, an empty part the whole side.
create table improvised (
  study_id bigint not null references study (id) on delete cascade,
  part varchar(20) not null,
  view varchar(20) not null,
  note varchar(500) not null,
  primary key (study_id, part, view)
);
