package org.opentrellis.app.people;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Adds and takes away many people at once. */
@Mapper
interface ArrivalMapper {
  String LONGS = ChangeMapper.LONGS;
  String TEXTS = ChangeMapper.TEXTS;

  @Insert(
      "insert into person (added_in, texts, source, came_at, mailing_since, address, address_key,"
          + " first_name, last_name, phone, zone, mailing, mailing_how, name_key)"
          + " select #{act}, false, #{source}, #{at}, #{at}, r.* from unnest(cast(#{addresses"
          + TEXTS
          + ", cast(#{addressKeys"
          + TEXTS
          + ", cast(#{firstNames"
          + TEXTS
          + ", cast(#{lastNames"
          + TEXTS
          + ", cast(#{phones"
          + TEXTS
          + ", cast(#{zones"
          + TEXTS
          + ", cast(#{mailings"
          + TEXTS
          + ", cast(#{hows"
          + TEXTS
          + ", cast(#{nameKeys"
          + TEXTS
          + ") as r")
  void insert(
      long act,
      String source,
      long at,
      String[] addresses,
      String[] addressKeys,
      @Nullable String[] firstNames,
      @Nullable String[] lastNames,
      @Nullable String[] phones,
      String[] zones,
      String[] mailings,
      String[] hows,
      String[] nameKeys);

  /** Those who are there of some addresses. */
  @Select(
      "select "
          + PeopleMapper.COLUMNS
          + " from unnest(cast(#{keys"
          + TEXTS
          + ") as c (address_key) join person p on p.address_key = c.address_key")
  List<PersonRow> known(String[] keys);

  @Select("select coalesce(max(id), 0) from person")
  long highest();

  /** Those whom an act has added behind a number. */
  @Select("select id, address_key as \"key\" from person where id > #{after} and added_in = #{act}")
  List<AddedRow> added(long act, long after);

  /** Somebody who was just added. */
  record AddedRow(long id, String key) {}

  /** All labels of some people, also those that they have lost. */
  @Select(
      "select l.person_id, n.kind, n.name, l.since, l.how, l.until from unnest(cast(#{persons"
          + LONGS
          + ") as c (id) join person_label l on l.person_id = c.id"
          + " join registered_name n on n.id = l.name_id")
  List<LabelRow> labels(Long[] persons);

  @Select(
      "select v.person_id, n.name, v.words, v.number, v.dated from unnest(cast(#{persons"
          + LONGS
          + ") as c (id) join person_field v on v.person_id = c.id"
          + " join registered_name n on n.id = v.name_id")
  List<FilledRow> fields(Long[] persons);

  /**
   * Those whom an act has added or changed, behind one, at most so many.
   *
   * @param from the lowest number of those it added
   */
  @Select(
      """
      select id from (
        (select p.id from person p where p.id > #{after} and p.id between #{from} and #{to}
          and p.added_in = #{act} order by p.id limit #{most})
        union
        (select c.person_id from act_change c where c.act_id = #{act} and c.person_id > #{after}
          order by c.person_id limit #{most}))
      order by id limit #{most}
      """)
  List<Long> touched(long act, long after, long from, long to, int most);

  /** Those of them whom an act has added and to whom nothing has happened since. */
  @Select(
      """
      select p.id from person p
      where p.id > #{after} and p.id <= #{last} and p.added_in = #{act}
        and not exists (select 1 from person_happening h
          where h.person_id = p.id and h.act_id is distinct from p.added_in)
      """)
  List<Long> untouched(long act, long after, long last);

  @Select(
      """
      select count(*) from person p
      where p.id > #{after} and p.id <= #{last} and p.added_in = #{act}
      """)
  long countAdded(long act, long after, long last);

  @Delete(
      """
      <script>
      delete from person where id in
      <foreach collection="persons" item="one" open="(" separator="," close=")">#{one}</foreach>
      </script>
      """)
  void delete(List<Long> persons);
}
