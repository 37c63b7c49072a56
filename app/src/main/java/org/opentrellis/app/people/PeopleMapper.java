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
      p.mailing_how, p.mailing_words, p.texts, p.texts_since, p.texts_how, p.source, p.came_at,
      p.how_often, p.version
      """;

  @Select("select zone from person_zone order by zone")
  List<String> zones();

  @Select("select count(*) from person")
  long countAll();

  /** Who may not be mailed: the fewer ones, who are found by an index. */
  @Select(
      """
      select count(*) from person
      where mailing in ('NOT_CONFIRMED', 'UNSUBSCRIBED', 'BOUNCED', 'COMPLAINED')
      """)
  long countUnmailable();

  /** Who they are, by number; those who are not there any more are left out. */
  @Select(
      "select "
          + COLUMNS
          + " from unnest(cast(#{numbers"
          + ChangeMapper.LONGS
          + ") as c (id) join person p on p.id = c.id")
  List<PersonRow> rows(Long[] numbers);

  /** Those of them who are there. */
  @Select(
      "select p.id from unnest(cast(#{numbers"
          + ChangeMapper.LONGS
          + ") as c (id) join person p on p.id = c.id")
  List<Long> there(Long[] numbers);

  /** The numbers of the next ones by name, and by number where names are equal. */
  @Select(
      """
      select p.id, p.name_key as "key" from person p where (p.name_key, p.id) > (#{key}, #{id})
      order by p.name_key, p.id limit #{most}
      """)
  List<Place> byName(String key, long id, int most);

  @Select(
      """
      select p.id, p.address_key as "key" from person p where p.address_key > #{key}
      order by p.address_key limit #{most}
      """)
  List<Place> byAddress(String key, int most);

  @Select(
      "select p.id, '' as \"key\" from person p where p.id < #{id} order by p.id desc limit #{most}")
  List<Place> newest(long id, int most);

  /** Where somebody stands in an order. */
  record Place(long id, String key) {}

  /** What some people have in their fields. */
  @Select(
      "select v.person_id, n.name, v.words, v.number, v.dated"
          + " from person_field v join registered_name n on n.id = v.name_id"
          + " where v.person_id = any(cast(#{people"
          + ChangeMapper.LONGS
          + ")")
  List<HeldValue> fieldsOf(@Param("people") Long[] people);

  /** What some people bought, in order. */
  @Select(
      "select b.person_id, b.at, n.name as product, b.cents"
          + " from purchase b left join registered_name n on n.id = b.product_id"
          + " where b.person_id = any(cast(#{people"
          + ChangeMapper.LONGS
          + ") order by b.id")
  List<HeldLine> purchasesOf(@Param("people") Long[] people);

  /** What some people have had in their carts since they emptied them last, in order. */
  @Select(
      "select c.person_id, c.at, n.name as product, c.cents"
          + " from cart_line c left join registered_name n on n.id = c.product_id"
          + " where c.emptied = false and c.person_id = any(cast(#{people"
          + ChangeMapper.LONGS
          + ") and not exists (select 1 from cart_line e where e.person_id = c.person_id"
          + " and e.emptied and e.id > c.id) order by c.id")
  List<HeldLine> cartsOf(@Param("people") Long[] people);

  @Select(
      """
      select b.at, n.name as product, b.cents
      from purchase b left join registered_name n on n.id = b.product_id
      where b.person_id = #{person} order by b.id
      """)
  List<PersonFile.KnownOrder> purchases(long person);

  @Select(
      """
      select c.at, c.emptied, n.name as product, c.cents
      from cart_line c left join registered_name n on n.id = c.product_id
      where c.person_id = #{person} order by c.id
      """)
  List<PersonFile.KnownCart> carts(long person);

  @Select(
      """
      select e.at, n.name as event, s.attribute,
        coalesce(s.words, cast(s.dated as varchar), cast(s.number as varchar)) as "value"
      from person_event e join registered_name n on n.id = e.name_id
        left join person_event_says s on s.event_id = e.id
      where e.person_id = #{person} order by e.id, s.attribute
      """)
  List<PersonFile.KnownEvent> events(long person);

  @Select(
      """
      select e.id, e.at, n.name as event, s.attribute, s.words, s.number, s.dated
      from person_event e join registered_name n on n.id = e.name_id
        left join person_event_says s on s.event_id = e.id
      where e.person_id = #{person} order by e.id, s.attribute
      """)
  List<HeardRow> heard(long person);

  @Delete("delete from person where id = #{id}")
  void delete(long id);

  @Select("select " + COLUMNS + " from person p where p.id = #{id}")
  Optional<PersonRow> find(long id);

  @Select("select p.id from person p where p.address_key = #{key}")
  Optional<Long> numberOf(String key);

  @Select(
      """
      <script>
      select l.person_id, n.kind, n.name, l.since, l.how, l.until
      from person_label l join registered_name n on n.id = l.name_id
      where l.until is null and l.person_id in
        <foreach collection="people" item="one" open="(" separator="," close=")">#{one}</foreach>
      order by n.kind, n.name
      </script>
      """)
  List<LabelRow> labels(@Param("people") List<Long> people);

  /** One that somebody has carried, or been on, and does not any more. */
  @Select(
      """
      select l.person_id, n.kind, n.name, l.since, l.how, l.until
      from person_label l join registered_name n on n.id = l.name_id
      where l.person_id = #{person} and l.name_id = #{name}
      """)
  Optional<LabelRow> earlierLabel(long person, long name);

  @Select(
      """
      select n.name, v.words, v.number, v.dated
      from person_field v join registered_name n on n.id = v.name_id
      where v.person_id = #{person} order by n.name
      """)
  List<ValueRow> fields(long person);

  @Select(
      """
      select at, kind, document from person_happening where person_id = #{person}
      order by at desc, id desc limit 1000
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
  @Update("update person set version = version + 1 where id = #{id} and version = #{version}")
  int take(long id, int version);

  /** To what email they agreed, word for word. */
  @Update("update person set mailing_words = #{words} where id = #{id}")
  void agreedTo(long id, String words);

  @Update("merge into person_zone (zone) key (zone) values (#{zone})")
  void noteZone(String zone);

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
      insert into person_happening (person_id, at, kind, document, act_id)
      values (#{person}, #{at}, #{kind}, #{document}, #{act})
      """)
  void insertHappening(long person, long at, String kind, String document, @Nullable Long act);

  @Select(
      """
      select first_name from person where first_name is not null
      order by char_length(first_name) desc limit 1
      """)
  Optional<String> longestFirstName();

  @Select(
      """
      select last_name from person where last_name is not null
      order by char_length(last_name) desc limit 1
      """)
  Optional<String> longestLastName();

  @Select("select address from person order by char_length(address) desc limit 1")
  Optional<String> longestAddress();

  @Select(
      """
      select coalesce(v.words, cast(v.dated as varchar), cast(v.number as varchar)) as shown
      from person_field v join registered_name n on n.id = v.name_id
      where n.kind = 'FIELD' and n.name = #{field}
      order by char_length(coalesce(v.words, cast(v.dated as varchar), cast(v.number as varchar))) desc
      limit 1
      """)
  Optional<String> longestValue(String field);
}
