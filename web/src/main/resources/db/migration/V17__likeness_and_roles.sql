-- What a figure is like, in words of the user's own with commas between; empty where none was said.
alter table work add column likeness varchar(100) not null default '';

-- Skin, hair and clothes from light to shadow are a group of their own, made as the shadows were.
alter table group_kind drop constraint group_kind_measure_group;
alter table group_kind add constraint group_kind_measure_group check (measure_group in (
    'PROPORTION', 'FACE', 'LINE', 'SHADE', 'COLOUR', 'EDGE', 'SHAPE', 'PART', 'ROLE', 'LAYOUT',
    'TICKS'));
insert into group_kind (study_id, measure_group, kind)
  select study_id, 'ROLE', kind from group_kind where measure_group = 'SHADE';
