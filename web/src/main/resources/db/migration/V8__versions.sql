-- Forms say which version they were filled from; a later one is not written over unseen.
alter table work add column version integer default 1 not null;
alter table work add column traits_version integer default 1 not null;
alter table study add column version integer default 1 not null;

-- Strokes that mend the figure of a work: every save is a row of its own, as with markings.
create table figure_stroke (
  work_id bigint not null references work (id) on delete cascade,
  version integer not null,
  edits jsonb not null,
  saved_at timestamp with time zone not null,
  primary key (work_id, version)
);
insert into figure_stroke (work_id, version, edits, saved_at)
  select work.id, 1, figure_edit.edits, figure_edit.changed_at
  from figure_edit join work on work.picture_sha256 = figure_edit.picture_sha256;
drop table figure_edit;

-- A form that was sent, told by its token and content, with where it led: sent twice it leads there
-- again and does nothing more.
create table submission (
  token varchar(120) primary key,
  answer varchar(500) not null,
  sent_at timestamp with time zone not null
);
create index submission_sent_at on submission (sent_at);
