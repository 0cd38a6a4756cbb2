/* [jooq ignore start] */
alter table saying drop constraint saying_kind_check;
/* [jooq ignore stop] */
alter table saying add constraint saying_kind check (kind in (
    'band', 'as-works', 'leave-out', 'take-back', 'words', 'pair', 'no-pair'));
