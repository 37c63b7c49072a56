package org.opentrellis.app.news;

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
interface NewsMapper {
  String ABOUT = "id, document, version, next_at, due_at, skips_next, since, people";
  String OF_ISSUE = "id, series_id, at, outcome, journey_id, shown, left_out, says";

  @Select("select " + ABOUT + " from news_series where not archived order by id")
  List<NewsRow> all();

  @Select("select " + ABOUT + " from news_series where id = #{id} and not archived")
  Optional<NewsRow> find(long id);

  /** So that nobody else makes an issue of it until the transaction ends. */
  @Select("select " + ABOUT + " from news_series where id = #{id} and not archived for update")
  Optional<NewsRow> hold(long id);

  /** Those in which some text stands, also what is put away. */
  @Select("select " + ABOUT + " from news_series where locate(#{text}, document) > 0")
  List<NewsRow> holding(String text);

  @Insert(
      """
      insert into news_series (document, version, changed_at) values (#{document}, 1, #{now})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insert(@Param("document") String document, @Param("now") long now, @Param("key") NewKey key);

  /** How many were changed: none if somebody else has changed it since. */
  @Update(
      """
      update news_series set document = #{document}, version = version + 1, changed_at = #{now}
      where id = #{id} and version = #{version}
      """)
  int save(
      @Param("id") long id,
      @Param("version") int version,
      @Param("document") String document,
      @Param("now") long now);

  /** None if somebody else has changed it since. */
  @Update(
      """
      update news_series set next_at = #{nextAt}, due_at = #{dueAt}, skips_next = false,
        since = #{since}, people = #{people}, version = version + 1
      where id = #{id} and version = #{version}
      """)
  int turn(
      @Param("id") long id,
      @Param("version") int version,
      @Param("nextAt") @Nullable Long nextAt,
      @Param("dueAt") @Nullable Long dueAt,
      @Param("since") long since,
      @Param("people") long people);

  @Update("update news_series set skips_next = #{skips} where id = #{id}")
  void skip(@Param("id") long id, @Param("skips") boolean skips);

  @Update(
      """
      update news_series set next_at = #{nextAt}, due_at = #{dueAt}, skips_next = false
      where id = #{id}
      """)
  void next(@Param("id") long id, @Param("nextAt") long nextAt, @Param("dueAt") long dueAt);

  @Update("update news_series set due_at = #{at} where id = #{id}")
  void dueAgain(@Param("id") long id, @Param("at") long at);

  @Update("update news_series set people = #{people} where id = #{id}")
  void reached(@Param("id") long id, @Param("people") long people);

  @Update("update news_series set archived = true where id = #{id}")
  void putAway(long id);

  @Select("select min(due_at) from news_series where not archived")
  Optional<Long> nextDue();

  @Select(
      "select "
          + ABOUT
          + " from news_series where due_at <= #{until} and not archived order by due_at, id")
  List<NewsRow> due(long until);

  @Insert(
      """
      insert into news_issue (series_id, at, outcome, journey_id, shown, left_out, says)
      values (#{seriesId}, #{at}, #{outcome}, #{journeyId}, #{shown}, #{leftOut}, #{says})
      """)
  void add(IssueRow issue);

  /** The latest first. */
  @Select("select " + OF_ISSUE + " from news_issue where series_id = #{series} order by id desc")
  List<IssueRow> issues(long series);

  @Select("select says from news_issue where series_id = #{series} order by id desc limit 1")
  Optional<String> saidLast(long series);

  @Select("select journey_id, series_id from news_issue where journey_id is not null")
  List<OfSeries> newsletters();

  /** An issue by its newsletter. */
  record OfSeries(long journeyId, long seriesId) {}

  @Select("select " + OF_ISSUE + " from news_issue where journey_id = #{journey}")
  Optional<IssueRow> issueOf(long journey);
}
