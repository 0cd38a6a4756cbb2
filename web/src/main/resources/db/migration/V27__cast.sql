-- Drawings of a cast are checked against the sheet, many at once.
alter table work drop constraint work_role;
alter table work add constraint work_role check (role in (
    'source', 'character', 'redraw', 'helper', 'process', 'cast'));
