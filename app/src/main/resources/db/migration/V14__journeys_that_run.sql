-- How many seconds the account's clock is ahead of the machine's; and up to when dates and segments
-- have been looked at, in seconds of the account's clock.
create table account_clock (
  only_one int default 1 primary key check (only_one = 1),
  turned_on bigint not null,
  looked_to bigint
);
insert into account_clock (turned_on) values (0);

-- What people can enter, change by change; from its number on it is so.
create table edition (
  number int primary key,
  journey_id bigint not null references journey (id),
  -- OPENED, CLOSED or STOPPED.
  kind varchar(8) not null,
  at bigint not null,
  -- Of what was opened: which save of the journey, what it and all that it refers to said then, and
  -- whether those inside go on with it.
  version int,
  document clob,
  catalogue clob,
  takes_along boolean,
  check (kind <> 'OPENED' or (version is not null and document is not null
    and catalogue is not null and takes_along is not null))
);
create index edition_of_journey on edition (journey_id, number);

-- Where somebody stands between two turns, by names; as JSON.
create table life (
  person_id bigint primary key references person (id) on delete cascade,
  -- By which their lots fall.
  lot_key bigint not null,
  -- As they stood before their first turn.
  begun varchar(1000000) not null,
  begun_edition int not null,
  standing varchar(1000000) not null,
  edition int not null,
  turns int not null,
  -- When something is due next; null if nothing is.
  next_at bigint
);
create index life_due on life (next_at, person_id);

-- Those whose turn failed: it is tried again later, and nobody else waits for it.
create table put_off (
  person_id bigint primary key references person (id) on delete cascade,
  -- What they were to be told, as a JSON list.
  told varchar(1000000) not null,
  tries int not null,
  try_at bigint not null,
  said varchar(400) not null
);

-- Who is inside which journey, and at which step: the same as in their standings, to be found by.
create table visit (
  person_id bigint not null references person (id) on delete cascade,
  journey_id bigint not null references journey (id),
  number int not null,
  version int not null,
  step varchar(80) not null,
  entered_at bigint not null,
  stepped_at bigint not null,
  -- Until when they wait there; null if nothing says so.
  until_at bigint,
  primary key (person_id, journey_id, number)
);
create index visit_at_step on visit (journey_id, step, person_id);

-- What happened, and what the machine did; only ever added to. Who is forgotten leaves the counts:
-- their rows lose what they say.
create table happening (
  id bigint generated always as identity (cache 100000) primary key,
  person_id bigint not null,
  -- Which of their turns it belongs to, when that was, and in which edition.
  turn int not null,
  turn_at bigint not null,
  edition int not null,
  -- TOLD from outside, said AT_ONCE by the mail server, DONE by the machine; or just the TURN.
  origin varchar(8) not null,
  at bigint not null,
  kind varchar(24) not null,
  journey_id bigint,
  version int,
  visit int,
  step varchar(80),
  detail varchar(200),
  -- Of what was told: all of it, as JSON.
  document varchar(16000)
);
create index happening_of_person on happening (person_id, id);
create index happening_of_journey on happening (journey_id, kind);

-- What is to be sent. A message of a visit is in it once.
create table outbox (
  id bigint generated always as identity primary key,
  person_id bigint not null,
  journey_id bigint not null references journey (id),
  version int not null,
  visit int not null,
  step varchar(80) not null,
  variant varchar(80),
  message_id varchar(40) not null,
  -- EMAIL or TEXT.
  channel varchar(5) not null,
  due_at bigint not null,
  -- WAITING, ON_ITS_WAY (handed over, no answer noted), SENT, REFUSED or CALLED_OFF.
  state varchar(10) not null,
  tries int default 0 not null,
  try_at bigint not null,
  sent_at bigint,
  -- What the server said last, or why it was called off.
  said varchar(400),
  -- Whether it may have gone out twice: handed over before, and no answer noted.
  again boolean default false not null,
  constraint outbox_once unique (person_id, journey_id, visit, step)
);
create index outbox_next on outbox (state, try_at, id);
create index outbox_sent on outbox (sent_at, channel, state);

alter table sent_mail add column outbox_id bigint references outbox (id);
alter table sent_mail add column link_names varchar(100000);
create index sent_mail_of_outbox on sent_mail (outbox_id);

-- What came to the phone stand-in.
create table phone_text (
  id bigint generated always as identity primary key,
  phone varchar(16) not null,
  sender varchar(20) not null,
  words varchar(4000) not null,
  segments int not null,
  came_at bigint not null
);
create index phone_text_of on phone_text (phone, id);

-- What the team was told.
create table notice (
  id bigint generated always as identity primary key,
  person_id bigint not null,
  journey_id bigint not null references journey (id),
  step varchar(80) not null,
  channel varchar(20) not null,
  address varchar(400) not null,
  words varchar(4000) not null,
  at bigint not null
);

-- Events that came over HTTP, so that one that comes again is the same.
create table heard_event (
  source varchar(400) not null,
  id varchar(200) not null,
  at bigint not null,
  primary key (source, id)
);

-- Who was in a segment that an open journey waits for, when it was looked at last.
create table segment_member (
  journey_id bigint not null references journey (id),
  segment varchar(80) not null,
  person_id bigint not null references person (id) on delete cascade,
  primary key (journey_id, segment, person_id)
);

-- Grows with each edition.
insert into revision (kind, number) values ('EDITIONS', 1);

-- Simulated people. What they are going to do is known beforehand, and goes from here once it is
-- done; which way their lots fall stays.
create table guest (
  person_id bigint primary key references person (id) on delete cascade,
  crowd int not null
);
create table guest_act (
  id bigint generated always as identity (cache 100000) primary key,
  person_id bigint not null references guest (person_id) on delete cascade,
  at bigint not null,
  -- Whether the mail server says it at the moment at which the message goes out.
  at_once boolean not null,
  document varchar(16000) not null
);
create index guest_act_at on guest_act (at_once, at, person_id);
create table guest_lot (
  person_id bigint not null references guest (person_id) on delete cascade,
  journey_id bigint not null references journey (id),
  visit int not null,
  step varchar(80) not null,
  way int not null,
  primary key (person_id, journey_id, visit, step)
);

-- Of a run that tells what people really went through: who they are, as a sentence.
alter table dry_run add column lived varchar(400);

-- Until now a journey was open only as a plan. Nobody is to be mailed because of an update, so each
-- is a draft again until somebody opens it; as a new save, which says so.
insert into journey_version (journey_id, version, document, saved_at, saved_by)
select id, version + 1,
  replace(replace(document, '"state":"OPEN"', '"state":"DRAFT"'),
    '"state":"CLOSING"', '"state":"DRAFT"'),
  saved_at, 'an update: journeys run now'
from journey
where locate('"state":"OPEN"', document) > 0 or locate('"state":"CLOSING"', document) > 0;
update journey set version = version + 1,
  document = replace(replace(document, '"state":"OPEN"', '"state":"DRAFT"'),
    '"state":"CLOSING"', '"state":"DRAFT"')
where locate('"state":"OPEN"', document) > 0 or locate('"state":"CLOSING"', document) > 0;
