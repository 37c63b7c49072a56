package org.opentrellis.app.people;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.Columns;

/** Writes many rows with one statement each: every column is an array. */
@Mapper
interface ChangeMapper {
  String ARRAY = Columns.ARRAY;
  String LONGS = Columns.LONGS;
  String TEXTS = Columns.TEXTS;

  /** Persons and names, so that a row of theirs can be told. */
  String PAIRS = "unnest(cast(#{persons" + LONGS + ", cast(#{names" + LONGS + ")";

  @Insert(
      "insert into act_change (act_id, person_id, what, name_id, before_value, before_how,"
          + " before_since, before_until, after_value, after_how, after_since, after_until)"
          + " select #{act}, r.* from unnest(cast(#{persons"
          + LONGS
          + ", cast(#{whats"
          + TEXTS
          + ", cast(#{names"
          + LONGS
          + ", cast(#{beforeValues"
          + TEXTS
          + ", cast(#{beforeHows"
          + TEXTS
          + ", cast(#{beforeSinces"
          + LONGS
          + ", cast(#{beforeUntils"
          + LONGS
          + ", cast(#{afterValues"
          + TEXTS
          + ", cast(#{afterHows"
          + TEXTS
          + ", cast(#{afterSinces"
          + LONGS
          + ", cast(#{afterUntils"
          + LONGS
          + ") as r")
  void insertChanges(
      long act,
      Long[] persons,
      String[] whats,
      @Nullable Long[] names,
      @Nullable String[] beforeValues,
      @Nullable String[] beforeHows,
      @Nullable Long[] beforeSinces,
      @Nullable Long[] beforeUntils,
      @Nullable String[] afterValues,
      @Nullable String[] afterHows,
      @Nullable Long[] afterSinces,
      @Nullable Long[] afterUntils);

  @Update(
      "merge into person_label (person_id, name_id, since, how, until) key (person_id, name_id)"
          + " select * from unnest(cast(#{persons"
          + LONGS
          + ", cast(#{names"
          + LONGS
          + ", cast(#{sinces"
          + LONGS
          + ", cast(#{hows"
          + TEXTS
          + ", cast(#{untils"
          + LONGS
          + ")")
  void putLabels(
      Long[] persons, Long[] names, Long[] sinces, String[] hows, @Nullable Long[] untils);

  /** Of people who have none of them yet. */
  @Insert(
      "insert into person_label (person_id, name_id, since, how)"
          + " select * from unnest(cast(#{persons"
          + LONGS
          + ", cast(#{names"
          + LONGS
          + ", cast(#{sinces"
          + LONGS
          + ", cast(#{hows"
          + TEXTS
          + ")")
  void insertLabels(Long[] persons, Long[] names, Long[] sinces, String[] hows);

  @Update(
      "merge into person_label l using "
          + PAIRS
          + " as c (person_id, name_id) on l.person_id = c.person_id and l.name_id = c.name_id"
          + " when matched then delete")
  void deleteLabels(Long[] persons, Long[] names);

  @Update(
      "merge into person_field v using "
          + PAIRS
          + " as c (person_id, name_id) on v.person_id = c.person_id and v.name_id = c.name_id"
          + " when matched then delete")
  void deleteFields(Long[] persons, Long[] names);

  /** Numbers and dates as texts that the database reads. */
  @Insert(
      "insert into person_field (person_id, name_id, words, words_key, number, dated)"
          + " select r.p, r.n, r.w, r.k, cast(r.number as double precision), cast(r.dated as date)"
          + " from unnest(cast(#{persons"
          + LONGS
          + ", cast(#{names"
          + LONGS
          + ", cast(#{words"
          + TEXTS
          + ", cast(#{wordsKeys"
          + TEXTS
          + ", cast(#{numbers"
          + TEXTS
          + ", cast(#{dates"
          + TEXTS
          + ") as r (p, n, w, k, number, dated)")
  void insertFields(
      Long[] persons,
      Long[] names,
      @Nullable String[] words,
      @Nullable String[] wordsKeys,
      @Nullable String[] numbers,
      @Nullable String[] dates);

  /** Of a plain column of the person's own row. */
  @Update(
      "merge into person p using unnest(cast(#{persons"
          + LONGS
          + ", cast(#{values"
          + TEXTS
          + ") as c (id, given) on p.id = c.id"
          + " when matched then update set ${what.column} = c.given")
  void setColumn(What what, Long[] persons, @Nullable String[] values);

  @Update(
      "merge into person p using unnest(cast(#{persons"
          + LONGS
          + ", cast(#{states"
          + TEXTS
          + ", cast(#{hows"
          + TEXTS
          + ", cast(#{sinces"
          + LONGS
          + ") as c (id, state, how, since) on p.id = c.id when matched then update"
          + " set mailing = c.state, mailing_how = c.how, mailing_since = c.since")
  void setMailing(Long[] persons, String[] states, String[] hows, Long[] sinces);

  /** Whether they agreed to texts: true or false as texts. */
  @Update(
      "merge into person p using unnest(cast(#{persons"
          + LONGS
          + ", cast(#{agreed"
          + TEXTS
          + ", cast(#{hows"
          + TEXTS
          + ", cast(#{sinces"
          + LONGS
          + ") as c (id, agreed, how, since) on p.id = c.id when matched then update"
          + " set texts = cast(c.agreed as boolean), texts_how = c.how, texts_since = c.since")
  void setTexts(Long[] persons, String[] agreed, @Nullable String[] hows, @Nullable Long[] sinces);

  /** Whoever else would change one of them waits. */
  @Select(
      "select p.id from person p where p.address_key in (select * from unnest(cast(#{addressKeys"
          + TEXTS
          + ")) for update")
  List<Long> lock(String[] addressKeys);

  @Update(
      "merge into person p using unnest(cast(#{persons"
          + LONGS
          + ", cast(#{keys"
          + TEXTS
          + ") as c (id, name_key) on p.id = c.id"
          + " when matched then update set name_key = c.name_key")
  void setNameKeys(Long[] persons, String[] keys);

  @Update(
      "merge into person_zone (zone) key (zone) select distinct * from unnest(cast(#{zones"
          + TEXTS
          + ")")
  void noteZones(String[] zones);

  /** Whoever has one of them open is told that they have changed. */
  @Update(
      "merge into person p using unnest(cast(#{persons"
          + LONGS
          + ") as c (id) on p.id = c.id when matched then update set version = version + 1")
  void changed(Long[] persons);

  @Insert(
      "insert into person_happening (act_id, at, person_id, kind, document)"
          + " select #{act}, #{at}, r.* from unnest(cast(#{persons"
          + LONGS
          + ", cast(#{kinds"
          + TEXTS
          + ", cast(#{sentences"
          + TEXTS
          + ") as r")
  void insertHappenings(
      @Nullable Long act, long at, Long[] persons, String[] kinds, String[] sentences);
}
