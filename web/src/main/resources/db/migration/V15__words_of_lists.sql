-- What is chosen out of a list is one of its words, or null where nobody chose; what is typed is a
-- text, empty where nobody typed; a number that nobody stated is null.

alter table study alter column part drop default;
alter table study alter column part drop not null;
alter table process_note alter column stage drop not null;
alter table pixel_reading alter column step drop not null;
alter table work alter column framing drop default;
alter table work alter column framing drop not null;
alter table work alter column turn drop default;
alter table work alter column turn drop not null;
alter table work alter column kind drop default;
alter table work alter column kind drop not null;
alter table work alter column mood drop default;
alter table work alter column mood drop not null;
alter table work alter column stage drop default;
alter table work alter column stage drop not null;
-- The words of the statements that ship stand where all words stand; those of one's own are typed.
alter table statement alter column text drop not null;

/* [jooq ignore start] */
alter table work drop constraint work_mood_check, drop constraint work_stage_check;
/* [jooq ignore stop] */

update study set part = null where part = '';
update process_note set stage = null where stage = '';
update pixel_reading set step = null where step = '';
update work set framing = null where framing = '';
update work set turn = null where turn = '';
update work set kind = null where kind = '';
update work set mood = null where mood = '';
update work set stage = null where stage = '';
update statement set text = null where not own;

alter table study add constraint study_kind check (kind in (
    'trace', 'copy', 'merge', 'memory', 'own-character', 'own-hand'));
alter table study add constraint study_part check (part in (
    'face-shape', 'eyes', 'brows', 'nose', 'mouth', 'ears', 'hair', 'neck', 'hands', 'feet',
    'body', 'folds', 'shoes', 'prop', 'background', 'light'));
alter table study add constraint study_wall check (wall in ('rows', 'free'));
alter table study add constraint study_counted check (counted in (
    'straight-from-crown', 'straight-from-hair', 'along-from-crown', 'along-from-hair'));
alter table group_kind add constraint group_kind_measure_group check (measure_group in (
    'PROPORTION', 'FACE', 'LINE', 'SHADE', 'COLOUR', 'EDGE', 'SHAPE', 'PART', 'LAYOUT',
    'TICKS'));
alter table group_kind add constraint group_kind_kind check (kind in (
    'trace', 'copy', 'merge', 'memory', 'own-character', 'own-hand'));
alter table work add constraint work_role check (role in (
    'source', 'character', 'redraw', 'helper', 'process'));
alter table work add constraint work_view check (view in (
    'front', 'three-quarter', 'side', 'back'));
alter table work add constraint work_framing check (framing in ('full', 'bust', 'face', 'detail'));
alter table work add constraint work_turn check (turn in ('left', 'ahead', 'right'));
alter table work add constraint work_kind check (kind in ('man', 'woman', 'child', 'creature'));
alter table work add constraint work_mood check (mood in (
    'calm', 'glad', 'sad', 'cross', 'startled', 'sly', 'keen'));
alter table work add constraint work_stage check (stage in ('rough', 'line', 'flats', 'finished'));
alter table work_part add constraint work_part_part check (part in (
    'face-shape', 'eyes', 'brows', 'nose', 'mouth', 'ears', 'hair', 'neck', 'hands', 'feet',
    'body', 'folds', 'shoes', 'prop', 'background', 'light'));
alter table work_trait add constraint work_trait_trait check (trait in (
    'hair-colour', 'hair-fall', 'skin', 'build', 'age', 'glasses', 'beard', 'fur', 'metal',
    'prop'));
alter table pick add constraint pick_part check (part in (
    'face-shape', 'eyes', 'brows', 'nose', 'mouth', 'ears', 'hair', 'neck', 'hands', 'feet',
    'body', 'folds', 'shoes', 'prop', 'background', 'light'));
alter table improvised add constraint improvised_part check (part in (
    '', 'face-shape', 'eyes', 'brows', 'nose', 'mouth', 'ears', 'hair', 'neck', 'hands',
    'feet', 'body', 'folds', 'shoes', 'prop', 'background', 'light'));
alter table improvised add constraint improvised_view check (view in (
    '', 'front', 'three-quarter', 'side', 'back'));
alter table way_out add constraint way_out_trait check (trait in (
    'hair-colour', 'hair-fall', 'skin', 'build', 'age', 'glasses', 'beard', 'fur', 'metal',
    'prop'));
alter table way_out add constraint way_out_way check (way in ('closest-work', 'near-study', 'helper', 'invent'));
alter table process_note add constraint process_note_stage check (stage in (
    'gesture', 'rough', 'sketch', 'line', 'flats', 'shade-blend', 'shade-picked', 'effects'));
alter table statement add constraint statement_part check (part in (
    'face-shape', 'eyes', 'brows', 'nose', 'mouth', 'ears', 'hair', 'neck', 'hands', 'feet',
    'body', 'folds', 'shoes', 'prop', 'background', 'light'));
alter table statement add constraint statement_stage check (stage in (
    'sketch', 'line', 'flats', 'shade', 'effects'));
alter table tick add constraint tick_answer check (answer in ('yes', 'no', 'unclear'));
alter table role_colour add constraint role_colour_tone check (tone in (
    'base', 'shadow', 'strip', 'highlight'));
alter table pixel_reading add constraint pixel_reading_state check (state in (
    'waiting', 'reading', 'read', 'stopped', 'failed'));
alter table pixel_reading add constraint pixel_reading_step check (step in (
    'FIGURE', 'LINES', 'COLOURS', 'SHADES', 'SHAPES'));
alter table picture add constraint picture_profile check (profile in (
    'none', 'converted', 'broken'));

-- An empty part or view of a gap that is accepted stands for all of them, and belongs to the key.
alter table statement add constraint statement_text check (own = (text is not null));
