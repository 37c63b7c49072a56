-- What was assumed of a journey's people before the last change, so that it can be taken back.
alter table journey add column behaviour_before clob;

-- Private runs in which people try journeys on themselves, one for each journey.
create table tryout (
  journey_id bigint primary key references journey (id) on delete cascade,
  version int not null,
  plan clob not null,
  catalogue clob not null,
  who clob not null,
  begun_at bigint not null,
  lot_key bigint not null,
  acts clob not null
);
