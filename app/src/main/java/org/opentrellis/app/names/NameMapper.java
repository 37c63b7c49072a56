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

  @Select(
      """
      select n.id, n.kind, n.name, n.field_type, coalesce(l.people, f.people, 0) as people
      from registered_name n
        left join (select name_id, count(*) as people from person_label where until is null
          group by name_id) l on l.name_id = n.id
        left join (select name_id, count(*) as people from person_field group by name_id) f
          on f.name_id = n.id
      order by n.kind, n.name
      """)
  List<NameView> views();

  @Select("select id from registered_name where kind = #{kind} and name = #{name}")
  Optional<Long> find(NameKind kind, String name);

  @Select(
      """
      select name, field_type, choices from registered_name where kind = 'FIELD' and name = #{name}
      """)
  Optional<NamedField> field(String name);

  @Select("select name, field_type, choices from registered_name where kind = 'FIELD'")
  List<NamedField> fields();

  @Update("update registered_name set field_type = #{type} where id = #{id}")
  void giveType(long id, FieldType type);

  @Insert("insert into registered_name (kind, name) values (#{kind}, #{name})")
  void insert(NameKind kind, String name);

  @Update("update registered_name set category_id = #{category} where id = #{product}")
  void putInto(long product, @Nullable Long category);
}
