package org.opentrellis.app.people;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

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

  /** Somebody and the date that a field of theirs holds. */
  record Dated(long personId, LocalDate dated) {}

  /** Whose date falls on one of some days of a year, month and day as one number. */
  @Select(
      """
      <script>
      select p.id as person_id, v.dated from person_field v join person p on p.id = v.person_id
      where v.name_id = #{field} and v.dated is not null and p.zone = #{zone}
        and p.mailing = 'MAY_BE_MAILED'
        and extract(month from v.dated) * 100 + extract(day from v.dated) in
          <foreach collection="days" item="one" open="(" separator="," close=")">#{one}</foreach>
      order by p.id
      </script>
      """)
  List<Dated> datedOn(
      @Param("field") long field, @Param("zone") String zone, @Param("days") Integer[] days);
}
