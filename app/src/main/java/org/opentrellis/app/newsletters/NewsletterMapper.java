package org.opentrellis.app.newsletters;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface NewsletterMapper {
  String ABOUT =
      "n.journey_id, n.document, n.version, n.state, n.people, n.due_at, n.first_at, n.decide_at,"
          + " n.last_at, n.better, n.verdict, n.changed_at";

  /** Those that are not put away. */
  @Select(
      "select "
          + ABOUT
          + " from newsletter n join journey j on j.id = n.journey_id where not j.archived"
          + " order by n.journey_id")
  List<NewsletterRow> all();

  @Select("select " + ABOUT + " from newsletter n where n.journey_id = #{id}")
  Optional<NewsletterRow> find(long id);

  /** Those in which some text stands, also what is put away. */
  @Select("select " + ABOUT + " from newsletter n where locate(#{text}, n.document) > 0")
  List<NewsletterRow> holding(String text);

  @Insert(
      """
      insert into newsletter (journey_id, document, version, state, changed_at)
      values (#{id}, #{document}, 1, 'DRAFT', #{now})
      """)
  void insert(@Param("id") long id, @Param("document") String document, @Param("now") long now);

  /** How many were changed: none if somebody else has changed it since. */
  @Update(
      """
      update newsletter set document = #{document}, version = version + 1, changed_at = #{now}
      where journey_id = #{id} and version = #{version}
      """)
  int save(
      @Param("id") long id,
      @Param("version") int version,
      @Param("document") String document,
      @Param("now") long now);

  /** When it goes out, or that it does not. */
  @Update(
      """
      update newsletter set state = #{state}, people = #{people}, first_at = #{firstAt},
        decide_at = #{decideAt}, last_at = #{lastAt}, due_at = #{dueAt}, version = version + 1,
        changed_at = #{now}
      where journey_id = #{id}
      """)
  void plan(
      @Param("id") long id,
      @Param("state") NewsletterRow.State state,
      @Param("people") @Nullable Long people,
      @Param("firstAt") @Nullable Long firstAt,
      @Param("decideAt") @Nullable Long decideAt,
      @Param("lastAt") @Nullable Long lastAt,
      @Param("dueAt") @Nullable Long dueAt,
      @Param("now") long now);

  @Update(
      """
      update newsletter set better = #{better}, verdict = #{verdict}, version = version + 1
      where journey_id = #{id}
      """)
  void decide(@Param("id") long id, @Param("better") int better, @Param("verdict") String verdict);

  @Update("update newsletter set due_at = #{at}, last_at = #{lastAt} where journey_id = #{id}")
  void dueNext(@Param("id") long id, @Param("at") @Nullable Long at, @Param("lastAt") long lastAt);

  @Update("update newsletter set due_at = #{at} where journey_id = #{id}")
  void dueAgain(@Param("id") long id, @Param("at") long at);

  @Select("select min(due_at) from newsletter")
  Optional<Long> next();

  @Select(
      "select "
          + ABOUT
          + " from newsletter n where n.due_at <= #{until} order by n.due_at, n.journey_id")
  List<NewsletterRow> due(long until);

  /** How many people those that went last were to reach. */
  @Select(
      """
      select people from newsletter where state <> 'DRAFT' and first_at <= #{now} and people > 0
      order by first_at desc limit #{most}
      """)
  List<Long> lastPeople(@Param("now") long now, @Param("most") int most);
}
