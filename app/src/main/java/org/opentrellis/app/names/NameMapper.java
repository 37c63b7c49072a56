package org.opentrellis.app.names;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

@Mapper
interface NameMapper {
  @Select("select kind, name from registered_name order by kind, name")
  List<NameRow> all();

  @Select("select id from registered_name where kind = #{kind} and name = #{name}")
  Optional<Long> find(NameKind kind, String name);

  @Select("select field_type, choices from registered_name where kind = 'FIELD' and name = #{name}")
  Optional<FieldRow> field(String name);

  @Select("select name, field_type, choices from registered_name where kind = 'FIELD'")
  List<NamedField> fields();

  @Update("update registered_name set field_type = #{type} where id = #{id}")
  void giveType(long id, FieldType type);

  @Insert("insert into registered_name (kind, name) values (#{kind}, #{name})")
  void insert(NameKind kind, String name);

  @Update("update registered_name set category_id = #{category} where id = #{product}")
  void putInto(long product, @Nullable Long category);
}
