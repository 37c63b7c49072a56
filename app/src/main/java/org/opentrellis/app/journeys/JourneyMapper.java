package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface JourneyMapper {
  @Select(
      """
      select id, kind, document, version, saved_at, behaviour, behaviour_version, archived, starter
      from journey where id = #{id}
      """)
  Optional<JourneyRow> find(long id);

  /** Those in whose document or assumptions some text stands. */
  @Select(
      """
      select id from journey
      where locate(#{text}, document) > 0 or locate(#{text}, behaviour) > 0 order by id
      """)
  List<Long> holding(String text);

  /** What it is, without reading it. */
  @Select("select kind from journey where id = #{id}")
  Optional<JourneyKind> kindOf(long id);

  /** The names that are taken, archived journeys' too. */
  @Select("select name from journey order by id")
  List<String> names();

  @Insert(
      """
      insert into journey (kind, name, document, version, saved_at, behaviour, behaviour_version, starter)
      values (#{kind}, #{name}, #{document}, 1, #{savedAt}, #{behaviour}, 1, #{starter})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "id")
  void insert(NewJourneyRow row);

  /** Returns 0 when somebody else has saved since. */
  @Update(
      """
      update journey set name = #{name}, document = #{document}, version = version + 1,
        saved_at = #{savedAt}
      where id = #{id} and version = #{version}
      """)
  int updateDocument(
      @Param("id") long id,
      @Param("version") int version,
      @Param("name") String name,
      @Param("document") String document,
      @Param("savedAt") OffsetDateTime savedAt);

  @Update("update journey set archived = #{archived} where id = #{id}")
  void archive(@Param("id") long id, @Param("archived") boolean archived);

  /** Returns 0 when somebody else has saved since. */
  @Update(
      """
      update journey set behaviour = #{behaviour}, behaviour_version = behaviour_version + 1
      where id = #{id} and behaviour_version = #{version}
      """)
  int updateBehaviour(
      @Param("id") long id, @Param("version") int version, @Param("behaviour") String behaviour);
}
