-- Forms say which version they were filled from; a later one is not written over unseen.
alter table work add column version integer default 1 not null;
alter table work add column traits_version integer default 1 not null;
alter table study add column version integer default 1 not null;

-- Strokes that mend a figure: every save is a row of its own, as with markings.
create table figure_stroke (
  picture_sha256 varchar(64) not null references picture (sha256) on delete cascade,
  version integer not null,
  edits jsonb not null,
  saved_at timestamp with time zone not null,
  primary key (picture_sha256, version)
);
insert into figure_stroke (picture_sha256, version, edits, saved_at)
  select picture_sha256, 1, edits, changed_at from figure_edit;
drop table figure_edit;

-- A form that was sent, told by its token and content, with where it led: sent twice it leads there
-- again and does nothing more.
create table submission (
  token varchar(120) primary key,
  answer varchar(500) not null,
  sent_at timestamp with time zone not null
);
create index submission_sent_at on submission (sent_at);
