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

-- What whoever is new here has done so far, as far as nothing else tells it. Who was here before
-- is not new.
create table first_steps (
  id int primary key,
  put_away boolean not null,
  tried boolean not null,
  constraint one_first_steps check (id = 1)
);
insert into first_steps (id, put_away, tried) values (1, exists (select 1 from journey), false);
