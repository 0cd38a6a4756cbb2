-- What the user says of single fixes: done on one redraw, or meant so in the whole study. Beside the
-- study, so that a word makes no rule anew.
create table fix_done (
  work_id bigint not null references work (id) on delete cascade,
  fix varchar(200) not null,
  primary key (work_id, fix)
);
create table fix_on_purpose (
  study_id bigint not null references study (id) on delete cascade,
  act varchar(160) not null,
  primary key (study_id, act)
);
