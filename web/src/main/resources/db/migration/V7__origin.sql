-- Corrections by hand of what counts as figure in a picture.
create table figure_edit (
  picture_sha256 varchar(64) primary key references picture (sha256) on delete cascade,
  edits jsonb not null,
  changed_at timestamp with time zone not null
);

-- Colours of a work by what they paint: base, shadow, strip, highlight of its skin and so on.
create table role_colour (
  work_id bigint not null references work (id) on delete cascade,
  role varchar(40) not null,
  tone varchar(20) not null,
  hex varchar(7) not null,
  -- Where it was picked, in pixels of the picture; empty where it was found by itself.
  x double precision,
  y double precision,
  primary key (work_id, role, tone)
);
