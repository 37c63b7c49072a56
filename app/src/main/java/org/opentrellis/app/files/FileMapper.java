package org.opentrellis.app.files;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface FileMapper {
  String ABOUT = "id, name, type, bytes, width, height, fingerprint, version, saved_at";

  @Select("select " + ABOUT + " from kept_file order by name_key")
  List<FileRow> all();

  @Select("select " + ABOUT + " from kept_file where name_key = #{key}")
  Optional<FileRow> find(String key);

  /** In a record of its own, since a mapper takes plain bytes for a list of them. */
  @Select("select content from kept_file where name_key = #{key}")
  Optional<FileContent> content(String key);

  record FileContent(byte[] content) {}

  @Insert(
      """
      insert into kept_file (name, name_key, type, bytes, width, height, fingerprint, content,
        version, saved_at)
      values (#{name}, #{key}, #{type}, #{bytes}, #{width}, #{height}, #{fingerprint}, #{content},
        1, #{at})
      """)
  void insert(
      String name,
      String key,
      String type,
      long bytes,
      @Nullable Integer width,
      @Nullable Integer height,
      String fingerprint,
      byte[] content,
      OffsetDateTime at);

  @Update(
      """
      update kept_file set type = #{type}, bytes = #{bytes}, width = #{width}, height = #{height},
        fingerprint = #{fingerprint}, content = #{content}, version = version + 1, saved_at = #{at}
      where name_key = #{key}
      """)
  int replace(
      String key,
      String type,
      long bytes,
      @Nullable Integer width,
      @Nullable Integer height,
      String fingerprint,
      byte[] content,
      OffsetDateTime at);
}
