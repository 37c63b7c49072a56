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

-- Simulated people who come in by themselves, through a form.
create table visitor_crowd (
  id bigint generated always as identity primary key,
  entrance_id bigint not null references entrance (id) on delete cascade,
  -- How much could not be done, and why the last of it could not.
  failed int default 0 not null,
  said varchar(400)
);
create table visitor (
  id bigint generated always as identity primary key,
  crowd_id bigint not null references visitor_crowd (id) on delete cascade,
  address varchar(254) not null,
  -- As JSON: what they fill in, by the form's own names.
  filled clob not null,
  came boolean default false not null
);
create index visitor_address on visitor (address);
-- What they are going to do; what is done is gone.
create table errand (
  id bigint generated always as identity primary key,
  visitor_id bigint not null references visitor (id) on delete cascade,
  at bigint not null,
  kind varchar(10) not null,
  -- What they do with a message or in the shop.
  document clob,
  tries int default 0 not null
);
create index errand_at on errand (at, id);
