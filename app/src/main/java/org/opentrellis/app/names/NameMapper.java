package org.opentrellis.app.names;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

@Mapper
interface NameMapper {
  /** Counts by name, for all at once. */
  String VIEWS =
      """
      select n.id, n.kind, n.name, n.about, n.in_group, n.field_type, n.choices,
        c.name as category, n.price_cents,
        coalesce(l.people, f.people, b.people, g.people, e.people, 0) as people,
        coalesce(b.times, 0) + coalesce(k.times, 0) + coalesce(e.times, 0) as happened
      from registered_name n
        left join registered_name c on c.id = n.category_id
        left join (select name_id, count(*) as people from person_label where until is null
          group by name_id) l on l.name_id = n.id
        left join (select name_id, count(*) as people from person_field group by name_id) f
          on f.name_id = n.id
        left join (select product_id, count(*) as times, count(distinct person_id) as people
          from purchase group by product_id) b on b.product_id = n.id
        left join (select p.category_id, count(distinct o.person_id) as people
          from purchase o join registered_name p on p.id = o.product_id
          group by p.category_id) g on g.category_id = n.id
        left join (select product_id, count(*) as times from cart_line group by product_id) k
          on k.product_id = n.id
        left join (select name_id, count(*) as times, count(distinct person_id) as people
          from person_event group by name_id) e on e.name_id = n.id
      """;

  @Select("select kind, name from registered_name order by kind, name")
  List<ListedName> all();

  /** Tags that somebody carries, lists that somebody is on; a look at the index for each. */
  @Select(
      """
      select n.kind, n.name from registered_name n
      where n.kind in ('TAG', 'LIST') and exists (select 1 from person_label l
        where l.name_id = n.id and l.until is null)
      order by n.id
      """)
  List<ListedName> carried();

  @Select(VIEWS + " order by n.kind, n.name")
  List<NameRow> views();

  @Select(VIEWS + " where n.id = #{id}")
  Optional<NameRow> view(long id);

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

  @Update(
      """
      update registered_name set name = #{edit.name}, about = #{edit.about},
        in_group = #{edit.group}, field_type = #{edit.fieldType}, choices = #{choices},
        category_id = #{category}, price_cents = #{edit.priceCents}
      where id = #{id}
      """)
  void update(
      @Param("id") long id,
      @Param("edit") NameEdit edit,
      @Param("choices") @Nullable String choices,
      @Param("category") @Nullable Long category);

  /** How many people have a text in a field that is not among some. */
  @Select(
      """
      <script>
      select count(*) from person_field where name_id = #{id} and (words is null
      <if test="choices.size() > 0"> or words not in
        <foreach collection="choices" item="one" open="(" separator="," close=")">#{one}</foreach>
      </if>
      <if test="choices.size() == 0"> or true</if>)
      </script>
      """)
  long countOthers(long id, List<String> choices);

  /** Whoever carries the first carries the second as well from now on. */
  @Update(
      """
      update person_label o set until = null
      where o.name_id = #{into} and o.until is not null
        and exists (select 1 from person_label l
          where l.person_id = o.person_id and l.name_id = #{from} and l.until is null)
      """)
  void takeUpAgain(long from, long into);

  @Update(
      """
      update person_label l set name_id = #{into}
      where l.name_id = #{from} and not exists (select 1 from person_label o
        where o.person_id = l.person_id and o.name_id = #{into})
      """)
  void moveLabels(long from, long into);

  /** Whether many people are being changed, or come in, just now. */
  @Select("select exists (select 1 from act where state in ('UNDER_WAY', 'GOING_BACK'))")
  boolean underWay();

  @Update("update act_change set name_id = #{into} where name_id = #{from}")
  void moveChanges(long from, long into);

  @Update("update act set name_id = #{into} where name_id = #{from}")
  void moveActs(long from, long into);

  /** Tells those who carry a label, or have a value, of something that happens to all of them. */
  @Insert(
      """
      insert into person_happening (person_id, at, kind, document)
      select person_id, cast(#{at} as bigint), cast(#{kind} as varchar), cast(#{sentence} as varchar)
      from (select person_id from person_label where name_id = #{id} and until is null
        union all select person_id from person_field where name_id = #{id})
      """)
  void tell(long id, long at, String kind, String sentence);

  @Delete("delete from person_label where name_id = #{id}")
  void deleteLabels(long id);

  @Delete("delete from person_field where name_id = #{id}")
  void deleteValues(long id);

  @Delete("delete from act_change where name_id = #{id}")
  void deleteChanges(long id);

  @Update("update act set name_id = null where name_id = #{id}")
  void leaveActs(long id);

  @Update("update registered_name set category_id = null where category_id = #{id}")
  void leaveCategory(long id);

  @Delete("delete from registered_name where id = #{id}")
  void delete(long id);

  @Select(
      """
      select name, about, price_cents from registered_name where kind = 'PRODUCT' order by name
      """)
  List<ProductCard> products();

  @Select(
      """
      select n.name, c.name as category from registered_name n
      join registered_name c on c.id = n.category_id where n.kind = 'PRODUCT' order by n.name
      """)
  List<SoldRow> sold();

  /** A product and its category. */
  record SoldRow(String name, String category) {}
}
