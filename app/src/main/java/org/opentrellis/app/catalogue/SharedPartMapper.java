package org.opentrellis.app.catalogue;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SharedPartMapper {
  @Select(
      """
      select kind, name, document, version, saved_at from shared_part where kind = #{kind}
      order by name
      """)
  List<SharedPartRow> all(String kind);

  @Select(
      """
      select kind, name, document, version, saved_at from shared_part
      where kind = #{kind} and name = #{name}
      """)
  Optional<SharedPartRow> find(String kind, String name);

  @Insert(
      """
      insert into shared_part (kind, name, document, version, saved_at)
      values (#{kind}, #{name}, #{document}, #{version}, #{savedAt})
      """)
  void insert(SharedPartRow row);

  /** Makes it this version; returns 0 when somebody else has saved since the one before. */
  @Update(
      """
      update shared_part set document = #{document}, version = #{version}, saved_at = #{savedAt}
      where kind = #{kind} and name = #{name} and version = #{version} - 1
      """)
  int update(SharedPartRow row);

  @Insert(
      """
      insert into shared_part_version (kind, name, version, document, saved_at)
      values (#{kind}, #{name}, #{version}, #{document}, #{savedAt})
      """)
  void keepVersion(SharedPartRow row);

  @Select(
      """
      select kind, name, document, version, saved_at from shared_part_version
      where kind = #{kind} and name = #{name} order by version desc
      """)
  List<SharedPartRow> versions(String kind, String name);

  @Delete("delete from shared_part where kind = #{kind} and name = #{name}")
  void delete(String kind, String name);

  @Delete("delete from shared_part_version where kind = #{kind} and name = #{name}")
  void deleteVersions(String kind, String name);

  /** Versions in whose document some text stands, but the newest of each. */
  @Select(
      """
      select v.kind, v.name, v.document, v.version, v.saved_at from shared_part_version v
      where locate(#{text}, v.document) > 0 and v.version < (select p.version from shared_part p
        where p.kind = v.kind and p.name = v.name)
      """)
  List<SharedPartRow> versionsHolding(String text);

  @Update(
      """
      update shared_part_version set document = #{document}
      where kind = #{kind} and name = #{name} and version = #{version}
      """)
  void rewriteVersion(String kind, String name, int version, String document);
}
