package org.opentrellis.app.people;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

@Mapper
interface DatedMapper {
  @Select(
      """
      select id from person where zone = #{zone} and mailing = 'MAY_BE_MAILED' order by id
      """)
  List<Long> inZone(String zone);

  @Select(
      """
      select p.id from person_field v join person p on p.id = v.person_id
      where v.name_id = #{field} and v.dated = #{date} and p.zone = #{zone}
        and p.mailing = 'MAY_BE_MAILED' order by p.id
      """)
  List<Long> dated(long field, String zone, LocalDate date);

  /** Somebody, where they live, and the date that a field of theirs holds. */
  record Dated(long personId, String zone, LocalDate dated) {}

  /**
   * Whose date falls on one of some days of a year, month and day as one number.
   *
   * @param zone null for all
   */
  @Select(
      """
      <script>
      select p.id as person_id, p.zone, v.dated from person_field v join person p on p.id = v.person_id
      where v.name_id = #{field} and v.dated is not null
        <if test="zone != null">and p.zone = #{zone}</if>
        and p.mailing = 'MAY_BE_MAILED'
        and extract(month from v.dated) * 100 + extract(day from v.dated) in
          <foreach collection="days" item="one" open="(" separator="," close=")">#{one}</foreach>
      order by p.id
      </script>
      """)
  List<Dated> datedOn(
      @Param("field") long field,
      @Param("zone") @Nullable String zone,
      @Param("days") Collection<Integer> days);
}
