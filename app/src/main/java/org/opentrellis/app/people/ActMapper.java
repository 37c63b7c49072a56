package org.opentrellis.app.people;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.NewKey;

@Mapper
interface ActMapper {
  String COLUMNS =
      """
      id, kind, says, at, state, size, done, place, changed, stayed, added, refused, change, name_id, given
      """;

  /** A field's value as one text, its type in front. */
  String CODED =
      """
      case when v.words is not null then 'W' || v.words
        when v.dated is not null then 'D' || v.dated
        when v.number is not null then 'N' || v.number end
      """;

  /** The chosen people who do not carry a label yet, or not any more. */
  String UNLABELLED =
      """
      left join person_label l on l.person_id = p.id and l.name_id = #{name}
      where ${where.sql} and (l.person_id is null or l.until is not null)
      """;

  String LABELLED =
      """
      join person_label l on l.person_id = p.id and l.name_id = #{name}
      where ${where.sql} and l.until is null
      """;

  String OTHER_VALUE =
      "left join person_field v on v.person_id = p.id and v.name_id = #{name}"
          + " where ${where.sql} and "
          + CODED
          + " is distinct from cast(#{value} as varchar)";

  String MAILED =
      "from person p where ${where.sql} and p.mailing in ('MAY_BE_MAILED', 'NOT_CONFIRMED')";

  /** What a label is called. */
  String NAMED = "join registered_name n on n.id = #{name} ";

  @Insert(
      """
      insert into act (kind, says, at, state, size, change, name_id, given)
      values (#{act.kind}, #{act.says}, #{act.at}, #{act.state}, #{act.size}, #{act.change},
        #{act.nameId}, #{act.given})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insert(@Param("act") Act act, @Param("key") NewKey key);

  @Select("select " + COLUMNS + " from act where id = #{id}")
  Optional<Act> find(long id);

  /** The newest first, without what was done to one person. */
  @Select("select " + COLUMNS + " from act where kind <> 'EDIT' order by id desc limit #{most}")
  List<Act> newest(int most);

  @Select("select id from act where state in ('UNDER_WAY', 'GOING_BACK') order by id")
  List<Long> underWay();

  /** Returns 0 if its state has become another one meanwhile. */
  @Update(
      """
      update act set state = #{act.state}, done = #{act.done}, place = #{act.place},
        changed = #{act.changed}, stayed = #{act.stayed}, added = #{act.added},
        refused = #{act.refused}
      where id = #{act.id} and state = #{from}
      """)
  int move(@Param("act") Act act, @Param("from") ActState from);

  /** Lays down whom it is about, those of them who are there, and returns how many they are. */
  @Insert(
      "insert into act_person (act_id, person_id) select #{act}, p.id from unnest(cast(#{persons"
          + ChangeMapper.LONGS
          + ") as c (id) join person p on p.id = c.id")
  int fill(long act, Long[] persons);

  @Update("update act set size = #{size} where id = #{act}")
  void setSize(long act, long size);

  /** The numbers of the next ones, at most so many. */
  @Select(
      """
      select person_id from act_person where act_id = #{act} and person_id > #{after}
      order by person_id limit #{most}
      """)
  List<Long> next(long act, long after, int most);

  @Select("select p.id from person p where ${where.sql} for update")
  List<Long> lock(@Param("where") Where where);

  @Select(
      "select p.id as person_id, 'LABEL' as what, n.id as name_id, n.kind, n.name,"
          + " null as before_value, l.how as before_how, l.since as before_since,"
          + " l.until as before_until, null as after_value, cast(#{how} as varchar) as after_how,"
          + " cast(#{now} as bigint) as after_since, null as after_until from person p "
          + NAMED
          + UNLABELLED)
  List<ChangeRow> toLabel(
      @Param("where") Where where,
      @Param("name") long name,
      @Param("how") String how,
      @Param("now") long now);

  @Select(
      "select p.id as person_id, 'LABEL' as what, n.id as name_id, n.kind, n.name,"
          + " null as before_value, l.how as before_how, l.since as before_since,"
          + " null as before_until, null as after_value, l.how as after_how,"
          + " l.since as after_since, cast(#{now} as bigint) as after_until from person p "
          + NAMED
          + LABELLED)
  List<ChangeRow> toUnlabel(
      @Param("where") Where where, @Param("name") long name, @Param("now") long now);

  @Select(
      "select p.id as person_id, 'FIELD' as what, n.id as name_id, n.kind, n.name, "
          + CODED
          + " as before_value, cast(#{value} as varchar) as after_value, null as before_how,"
          + " null as before_since, null as before_until, null as after_how, null as after_since,"
          + " null as after_until from person p "
          + NAMED
          + OTHER_VALUE)
  List<ChangeRow> toFill(
      @Param("where") Where where,
      @Param("name") long name,
      @Param("value") @Nullable String value);

  @Select(
      "select p.id as person_id, 'MAILING' as what, null as name_id, null as kind, null as name,"
          + " p.mailing as before_value, p.mailing_how as before_how,"
          + " p.mailing_since as before_since, null as before_until,"
          + " 'UNSUBSCRIBED' as after_value, cast(#{how} as varchar) as after_how,"
          + " cast(#{now} as bigint) as after_since, null as after_until "
          + MAILED)
  List<ChangeRow> toUnsubscribe(
      @Param("where") Where where, @Param("how") String how, @Param("now") long now);

  /** Those that an act has changed, behind one, at most so many; once for each change. */
  @Select(
      """
      select person_id from act_change where act_id = #{act} and person_id > #{after}
      order by person_id limit #{most}
      """)
  List<Long> changedNext(long act, long after, int most);

  @Select(
      """
      select count(*) from act_change
      where act_id = #{act} and person_id > #{after} and person_id <= #{last}
      """)
  long countChanges(long act, long after, long last);

  /** What an act has changed and what is still as it left it. */
  @Select(
      "select c.person_id, c.what, c.name_id, n.kind, n.name, c.before_value, c.before_how,"
          + " c.before_since, c.before_until, c.after_value, c.after_how, c.after_since,"
          + " c.after_until"
          + " from act_change c join person p on p.id = c.person_id"
          + " left join registered_name n on n.id = c.name_id"
          + " left join person_label l on c.what = 'LABEL' and l.person_id = c.person_id"
          + " and l.name_id = c.name_id"
          + " left join person_field v on c.what = 'FIELD' and v.person_id = c.person_id"
          + " and v.name_id = c.name_id"
          + " where c.act_id = #{act} and c.person_id > #{after} and c.person_id <= #{last}"
          + " and case c.what"
          + " when 'LABEL' then l.since is not distinct from c.after_since"
          + " and l.until is not distinct from c.after_until"
          + " when 'FIELD' then "
          + CODED
          + " is not distinct from c.after_value"
          + " when 'MAILING' then p.mailing = c.after_value and p.mailing_since = c.after_since"
          + " when 'TEXTS' then p.texts = cast(c.after_value as boolean)"
          + " and p.texts_since is not distinct from c.after_since"
          + " when 'FIRST_NAME' then p.first_name is not distinct from c.after_value"
          + " when 'LAST_NAME' then p.last_name is not distinct from c.after_value"
          + " when 'PHONE' then p.phone is not distinct from c.after_value"
          + " else p.zone = c.after_value end order by c.id desc")
  List<ChangeRow> stillSo(long act, long after, long last);

  /** The last act that changed somebody, if it was done to them alone and stands. */
  @Select(
      """
      select a.id from act a where a.kind = 'EDIT' and a.state = 'DONE'
        and a.id = (select max(c.act_id) from act_change c where c.person_id = #{person})
      """)
  Optional<Long> lastEdit(long person);
}
