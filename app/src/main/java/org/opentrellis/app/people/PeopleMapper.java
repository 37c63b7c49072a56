package org.opentrellis.app.people;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface PeopleMapper {
  String COLUMNS =
      """
      p.id, p.address, p.first_name, p.last_name, p.phone, p.zone, p.mailing, p.mailing_since,
      p.mailing_how, p.mailing_words, p.texts, p.source, p.came_at, p.version
      """;

  /** What is looked for in names and addresses; null for everything. */
  String SEARCHED =
      """
      (cast(#{search} as varchar) is null or locate(#{search}, p.name_key) > 0
        or locate(#{search}, p.address_key) > 0)
      """;

  @Select("select distinct zone from person")
  List<String> zones();

  @Select("select count(*) from person")
  long countAll();

  @Select("select count(*) from person where mailing = 'MAY_BE_MAILED'")
  long countMailable();

  @Select("select count(*) from person p where ${where.sql} and " + SEARCHED)
  long count(@Param("where") Where where, @Param("search") @Nullable String search);

  /** By name, and by number where names are equal. */
  @Select(
      "select "
          + COLUMNS
          + " from person p where ${where.sql} and "
          + SEARCHED
          + """
          and (p.name_key > #{key} or p.name_key = #{key} and p.id > #{id})
          order by p.name_key, p.id limit #{most}
          """)
  List<PersonRow> byName(
      @Param("where") Where where,
      @Param("search") @Nullable String search,
      @Param("key") String key,
      @Param("id") long id,
      @Param("most") int most);

  /** The newest first. */
  @Select(
      "select "
          + COLUMNS
          + " from person p where ${where.sql} and "
          + SEARCHED
          + """
          and (p.came_at < #{cameAt} or p.came_at = #{cameAt} and p.id < #{id})
          order by p.came_at desc, p.id desc limit #{most}
          """)
  List<PersonRow> newest(
      @Param("where") Where where,
      @Param("search") @Nullable String search,
      @Param("cameAt") long cameAt,
      @Param("id") long id,
      @Param("most") int most);

  @Select("select p.id from person p where ${where.sql} order by p.id")
  List<Long> ids(@Param("where") Where where);

  @Select("select " + COLUMNS + " from person p where p.id = #{id}")
  Optional<PersonRow> find(long id);

  @Select("select p.id from person p where p.address_key = #{key}")
  Optional<Long> numberOf(String key);

  @Select(
      """
      <script>
      select l.person_id, n.kind, n.name, l.since, l.how
      from person_label l join registered_name n on n.id = l.name_id
      where l.until is null and l.person_id in
        <foreach collection="people" item="one" open="(" separator="," close=")">#{one}</foreach>
      order by n.kind, n.name
      </script>
      """)
  List<LabelRow> labels(@Param("people") List<Long> people);

  @Select(
      """
      select n.name, v.words, v.number, v.dated
      from person_field v join registered_name n on n.id = v.name_id
      where v.person_id = #{person} order by n.name
      """)
  List<ValueRow> fields(long person);

  @Select(
      """
      select at, kind, document from person_happening where person_id = #{person} order by id desc
      limit 1000
      """)
  List<StoryRow> story(long person);

  @Insert(
      """
      insert into person (address, address_key, first_name, last_name, phone, zone, mailing,
        mailing_since, mailing_how, mailing_words, texts, source, came_at, name_key)
      values (#{row.address}, #{addressKey}, #{row.firstName}, #{row.lastName}, #{row.phone},
        #{row.zone}, #{row.mailing}, #{row.mailingSince}, #{row.mailingHow}, #{row.mailingWords},
        #{row.texts}, #{row.source}, #{row.cameAt}, #{nameKey})
      """)
  void insert(
      @Param("row") PersonRow row,
      @Param("addressKey") String addressKey,
      @Param("nameKey") String nameKey);

  /** Returns 0 when somebody else has changed them since. */
  @Update(
      """
      update person set first_name = #{row.firstName}, last_name = #{row.lastName},
        phone = #{row.phone}, zone = #{row.zone}, name_key = #{nameKey}, version = version + 1
      where id = #{row.id} and version = #{row.version}
      """)
  int update(@Param("row") PersonRow row, @Param("nameKey") String nameKey);

  @Update(
      """
      merge into person_label (person_id, name_id, since, how, until) key (person_id, name_id)
      values (#{person}, #{name}, #{since}, #{how}, null)
      """)
  void putLabel(long person, long name, long since, String how);

  @Update(
      "update person_label set until = #{until} where person_id = #{person} and name_id = #{name}")
  void endLabel(long person, long name, long until);

  @Delete("delete from person_field where person_id = #{person} and name_id = #{name}")
  void clearField(long person, long name);

  @Insert(
      """
      insert into person_label (person_id, name_id, since, how, until)
      values (#{person}, #{name}, #{since}, #{how}, #{until})
      """)
  void insertLabel(long person, long name, long since, String how, @Nullable Long until);

  @Insert(
      """
      insert into person_field (person_id, name_id, words, words_key, number, dated)
      values (#{person}, #{name}, #{value.words}, #{wordsKey}, #{value.number}, #{value.dated})
      """)
  void insertField(
      @Param("person") long person,
      @Param("name") long name,
      @Param("value") ValueRow value,
      @Param("wordsKey") @Nullable String wordsKey);

  @Insert("insert into person_event (person_id, name_id, at) values (#{person}, #{name}, #{at})")
  void insertEvent(long person, long name, long at);

  @Select("select max(id) from person_event where person_id = #{person}")
  long newestEvent(long person);

  @Insert(
      """
      insert into person_event_says (event_id, attribute, words, words_key, number, dated)
      values (#{event}, #{value.name}, #{value.words}, #{wordsKey}, #{value.number}, #{value.dated})
      """)
  void insertSays(
      @Param("event") long event,
      @Param("value") ValueRow value,
      @Param("wordsKey") @Nullable String wordsKey);

  @Insert(
      """
      insert into purchase (person_id, at, product_id, cents)
      values (#{person}, #{at}, #{product}, #{cents})
      """)
  void insertPurchase(long person, long at, @Nullable Long product, long cents);

  @Insert(
      """
      insert into cart_line (person_id, at, emptied, product_id, cents)
      values (#{person}, #{at}, #{emptied}, #{product}, #{cents})
      """)
  void insertCartLine(long person, long at, boolean emptied, @Nullable Long product, long cents);

  @Insert(
      """
      insert into person_happening (person_id, at, kind, document)
      values (#{person}, #{at}, #{kind}, #{document})
      """)
  void insertHappening(long person, long at, String kind, String document);
}
