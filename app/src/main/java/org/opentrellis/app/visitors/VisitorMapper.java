package org.opentrellis.app.visitors;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.NewKey;

/** Visitors, and what they are going to do. */
@Mapper
interface VisitorMapper {

  /**
   * A visitor.
   *
   * @param entranceId the form that they fill in
   * @param filled what they fill in, as JSON
   */
  record VisitorRow(long id, long crowdId, long entranceId, String address, String filled) {}

  @Insert("insert into visitor_crowd (entrance_id) values (#{entrance})")
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insertCrowd(@Param("entrance") long entrance, @Param("key") NewKey key);

  @Insert(
      """
      insert into visitor (crowd_id, address, filled)
      values (#{crowd}, #{address}, #{filled})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insert(
      @Param("crowd") long crowd,
      @Param("address") String address,
      @Param("filled") String filled,
      @Param("key") NewKey key);

  @Insert(
      """
      <script>
      insert into errand (visitor_id, at, kind, document) values
        <foreach collection="rows" item="one" separator=",">
          (#{one.visitorId}, #{one.at}, #{one.kind}, #{one.document})
        </foreach>
      </script>
      """)
  void insertErrands(@Param("rows") List<ErrandRow> rows);

  @Select("select at from errand order by at, id limit 1")
  Optional<Long> next();

  @Select(
      """
      select id, visitor_id, at, kind, document, tries from errand
      where at <= #{until} order by at, id limit #{most}
      """)
  List<ErrandRow> due(long until, int most);

  @Select(
      """
      select v.id, v.crowd_id, c.entrance_id, v.address, v.filled
      from visitor v join visitor_crowd c on c.id = v.crowd_id where v.id = #{id}
      """)
  Optional<VisitorRow> visitor(long id);

  /** A crowd's, in the order in which they were drawn. */
  @Select(
      """
      select v.id, v.crowd_id, c.entrance_id, v.address, v.filled
      from visitor v join visitor_crowd c on c.id = v.crowd_id
      where v.crowd_id = #{crowd} order by v.id
      """)
  List<VisitorRow> of(long crowd);

  /** How many fill in a form before a moment. */
  @Select(
      """
      select count(*) from errand e join visitor v on v.id = e.visitor_id
        join visitor_crowd c on c.id = v.crowd_id
      where e.kind = 'SIGNS_UP' and e.at < #{before} and c.entrance_id = #{entrance}
      """)
  int signUps(long entrance, long before);

  @Delete("delete from errand where id = #{id}")
  void done(long id);

  @Delete("delete from errand where visitor_id = #{visitor}")
  void allDone(long visitor);

  @Update("update visitor set came = true where id = #{id}")
  void came(long id);

  @Update("update errand set at = #{at}, tries = tries + 1 where id = #{id}")
  void later(long id, long at);

  @Update("update visitor_crowd set failed = failed + 1, said = #{said} where id = #{crowd}")
  void failed(long crowd, String said);

  /** How it stands with a crowd. */
  record CrowdRow(
      long id,
      long entranceId,
      int failed,
      @Nullable String said,
      int people,
      int came,
      int errands,
      @Nullable Long next) {}

  @Select(
      """
      select c.id, c.entrance_id, c.failed, c.said, v.people, v.came,
        coalesce(e.errands, 0) as errands, e.next
      from visitor_crowd c
        join (select crowd_id, count(*) as people, count(case when came then 1 end) as came
              from visitor group by crowd_id) v on v.crowd_id = c.id
        left join (select crowd_id, count(*) as errands, min(at) as next
              from errand join visitor on visitor.id = errand.visitor_id
              group by crowd_id) e on e.crowd_id = c.id
      order by c.id desc limit #{most}
      """)
  List<CrowdRow> crowds(int most);

  /** Those of a crowd who have not come yet do not; returns how many that are. */
  @Delete("delete from visitor where crowd_id = #{crowd} and came = false")
  int stop(long crowd);

  @Delete("delete from visitor where address = #{address}")
  void forget(String address);
}
