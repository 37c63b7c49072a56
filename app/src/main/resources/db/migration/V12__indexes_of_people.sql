-- Those who may not be mailed are few, and are counted whenever people are looked at.
create index person_by_mailing on person (mailing);

-- Whose field holds what, all of it in the index.
create index person_field_holds on person_field (name_id, person_id, number, dated, words_key);
drop index person_field_of_name;

-- A reference has an index of its own, of just its column. These did the same over again.
drop index person_event_of_person;
drop index purchase_of_person;
drop index cart_line_of_person;
drop index person_happening_of_person;

-- And these were made after the reference had got one: made anew, it takes theirs.
execute immediate 'alter table act_person drop constraint ' || (
  select constraint_name from information_schema.key_column_usage
  where table_schema = 'PUBLIC' and table_name = 'ACT_PERSON' and column_name = 'PERSON_ID'
    and position_in_unique_constraint is not null);
alter table act_person add foreign key (person_id) references person (id) on delete cascade;
execute immediate 'alter table act_change drop constraint ' || (
  select constraint_name from information_schema.key_column_usage
  where table_schema = 'PUBLIC' and table_name = 'ACT_CHANGE' and column_name = 'PERSON_ID'
    and position_in_unique_constraint is not null);
alter table act_change add foreign key (person_id) references person (id) on delete cascade;
