-- An index behind every reference: without one, taking a study or a picture away reads whole tables.
create index work_picture on work (picture_sha256);
create index work_framed_from on work (framed_from);
create index scan_raw on scan (raw_sha256);
create index told_apart_second on told_apart (second_work_id);
create index pick_work on pick (work_id);
create index process_note_study on process_note (study_id);
create index repeat_marking_work on repeat_marking (work_id);
create index tick_statement on tick (statement_key);
create index guess_work on guess (work_id);
create index study_anchor on study (anchor_work_id);
create index study_follows on study (follows_study_id);
