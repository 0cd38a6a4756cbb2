-- Where a figure stands that is set into a work's picture, beside the study: it makes no rule.
create table companion (
  redraw_id bigint not null references work (id) on delete cascade,
  scene_id bigint not null references work (id) on delete cascade,
  figure_id bigint not null references work (id) on delete cascade,
  x double precision not null,
  ground double precision not null,
  scale double precision not null check (scale > 0),
  mirrored boolean not null,
  behind boolean not null,
  stood_at timestamp with time zone not null,
  primary key (redraw_id, scene_id, figure_id)
);
create index companion_scene on companion (scene_id);
create index companion_figure on companion (figure_id);
