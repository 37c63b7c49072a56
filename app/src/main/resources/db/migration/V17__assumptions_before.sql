-- What was assumed of a journey's people before the last change, so that it can be taken back.
alter table journey add column behaviour_before clob;
