package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface VersionMapper {
  @Select(
      """
      select version, '' as document, saved_at, saved_by, name from journey_version
      where journey_id = #{journey} order by version desc
      """)
  List<VersionRow> all(long journey);

  @Select(
      """
      select version, document, saved_at, saved_by, name from journey_version
      where journey_id = #{journey} and version = #{version}
      """)
  Optional<VersionRow> find(@Param("journey") long journey, @Param("version") int version);

  /** Those in whose document some text stands, but the newest of each journey. */
  @Select(
      """
      select v.journey_id, v.version, v.document from journey_version v
      where locate(#{text}, v.document) > 0
        and v.version < (select j.version from journey j where j.id = v.journey_id)
      """)
  List<HeldVersion> holding(String text);

  @Update(
      """
      update journey_version set document = #{document}
      where journey_id = #{journey} and version = #{version}
      """)
  void rewrite(
      @Param("journey") long journey,
      @Param("version") int version,
      @Param("document") String document);

  @Insert(
      """
      insert into journey_version (journey_id, version, document, saved_at, saved_by)
      values (#{journey}, #{version}, #{document}, #{savedAt}, #{savedBy})
      """)
  void insert(
      @Param("journey") long journey,
      @Param("version") int version,
      @Param("document") String document,
      @Param("savedAt") OffsetDateTime savedAt,
      @Param("savedBy") @Nullable String savedBy);

  @Update(
      """
      update journey_version set name = #{name}
      where journey_id = #{journey} and version = #{version}
      """)
  int rename(
      @Param("journey") long journey,
      @Param("version") int version,
      @Param("name") @Nullable String name);
}
