-- Names that people, journeys and messages use, each of its kind: TAG, LIST, FIELD, FORM, PRODUCT,
-- CATEGORY, EVENT. People point to them by number, so renaming one changes one row.
create table registered_name (
  id bigint generated always as identity primary key,
  kind varchar(10) not null,
  name varchar(80) not null,
  -- What it is for, in a sentence.
  about varchar(400),
  -- Tags stand in groups that the user makes.
  in_group varchar(80),
  -- TEXT, NUMBER, DATE, YES_NO or ONE_OF; and for the last what may be chosen, a line each.
  field_type varchar(10),
  choices varchar(8000),
  -- Of a product.
  category_id bigint references registered_name (id),
  price_cents bigint,
  unique (kind, name)
);

-- Moments are seconds since 1970 by the account's clock.
create table person (
  id bigint generated always as identity primary key,
  address varchar(254) not null,
  -- The same in small letters: two addresses that differ in nothing else are one.
  address_key varchar(254) not null unique,
  first_name varchar(80),
  last_name varchar(80),
  phone varchar(16),
  zone varchar(50) not null,
  -- MAY_BE_MAILED, NOT_CONFIRMED, UNSUBSCRIBED, BOUNCED or COMPLAINED; since when, how that is
  -- known, and the words that were agreed to.
  mailing varchar(20) not null,
  mailing_since bigint not null,
  mailing_how varchar(200) not null,
  mailing_words varchar(1000),
  texts boolean not null,
  texts_since bigint,
  texts_how varchar(200),
  -- How they came, and when.
  source varchar(200) not null,
  came_at bigint not null,
  -- What is sorted and searched by.
  name_key varchar(162) not null,
  version int default 1 not null
);
create index person_by_name on person (name_key, id);
create index person_by_coming on person (came_at, id);
create index person_by_zone on person (zone);

-- Tags that somebody carries and lists that they are on. Once they do no more, the row stays.
create table person_label (
  person_id bigint not null references person (id) on delete cascade,
  name_id bigint not null references registered_name (id),
  since bigint not null,
  how varchar(200) not null,
  until bigint,
  primary key (person_id, name_id)
);
create index person_label_of_name on person_label (name_id, until, person_id);

-- One of the three values; a text in small letters as well, as it is compared.
create table person_field (
  person_id bigint not null references person (id) on delete cascade,
  name_id bigint not null references registered_name (id),
  words varchar(200),
  words_key varchar(400),
  number double precision,
  dated date,
  primary key (person_id, name_id)
);
create index person_field_of_name on person_field (name_id, person_id);

-- A named event that happened to somebody, and what it says about itself.
create table person_event (
  id bigint generated always as identity primary key,
  person_id bigint not null references person (id) on delete cascade,
  name_id bigint not null references registered_name (id),
  at bigint not null
);
create index person_event_of_person on person_event (person_id, name_id, at);
create table person_event_says (
  event_id bigint not null references person_event (id) on delete cascade,
  attribute varchar(80) not null,
  words varchar(200),
  words_key varchar(400),
  number double precision,
  dated date,
  primary key (event_id, attribute)
);

-- A line for each product of an order; without a product if it is not known what was bought.
create table purchase (
  id bigint generated always as identity primary key,
  person_id bigint not null references person (id) on delete cascade,
  at bigint not null,
  product_id bigint references registered_name (id),
  cents bigint not null
);
create index purchase_of_person on purchase (person_id, at);

-- What lay in the cart from each change on, line by line, with the value of the whole cart.
create table cart_line (
  id bigint generated always as identity primary key,
  person_id bigint not null references person (id) on delete cascade,
  at bigint not null,
  emptied boolean not null,
  product_id bigint references registered_name (id),
  cents bigint not null
);
create index cart_line_of_person on cart_line (person_id, at);

-- What happened to a person, in order; never changed.
create table person_happening (
  id bigint generated always as identity primary key,
  person_id bigint not null references person (id) on delete cascade,
  at bigint not null,
  kind varchar(30) not null,
  -- What it says, by the kind.
  document varchar(4000) not null
);
create index person_happening_of_person on person_happening (person_id, id);
