-- Forms by which people come in. Its form's name is a registered name, by which journeys know it.
create table entrance (
  id bigint generated always as identity primary key,
  -- In its address; lower case letters, digits and hyphens.
  slug varchar(80) not null,
  document clob not null,
  version int default 1 not null,
  is_on boolean default false not null,
  made_at timestamp with time zone not null,
  constraint entrance_slug unique (slug)
);

-- Whoever signed up, as they filled it in; with what they agreed to, word for word.
create table sign_up (
  id bigint generated always as identity primary key,
  entrance_id bigint not null references entrance (id) on delete cascade,
  -- Of the form that was sent: sending it twice is once.
  sent_form varchar(64) not null,
  address varchar(254) not null,
  address_key varchar(254) not null,
  -- As JSON: what was filled in.
  filled varchar(40000) not null,
  agreement varchar(1000) not null,
  at bigint not null,
  -- Whether they still have to confirm; by which token, hashed, once they were mailed it; and when
  -- mailing it is tried next.
  awaits boolean not null,
  token_hash varchar(64),
  mailed_at bigint,
  tries int default 0 not null,
  try_at bigint not null,
  confirmed_at bigint,
  -- Who they are, once they are in.
  person_id bigint references person (id) on delete cascade,
  constraint sign_up_once unique (entrance_id, sent_form),
  constraint sign_up_token unique (token_hash)
);
create index sign_up_of on sign_up (address_key);
create index sign_up_waiting on sign_up (awaits, mailed_at, try_at);

-- How often a form was looked at and sent, by day of the account's clock.
create table entrance_day (
  entrance_id bigint not null references entrance (id) on delete cascade,
  on_day date not null,
  visits bigint default 0 not null,
  sign_ups bigint default 0 not null,
  primary key (entrance_id, on_day)
);
