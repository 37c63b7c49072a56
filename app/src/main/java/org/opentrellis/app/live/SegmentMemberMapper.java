package org.opentrellis.app.live;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.opentrellis.app.storage.Columns;

/** Who was in the segments that journeys wait for, when they were looked at last. */
@Mapper
interface SegmentMemberMapper {
  String PEOPLE = "(select * from unnest(cast(#{people" + Columns.LONGS + "))";

  @Select(
      """
      select person_id from segment_member
      where journey_id = #{journey} and segment = #{segment}
      """)
  List<Long> of(long journey, String segment);

  @Insert(
      "insert into segment_member (journey_id, segment, person_id)"
          + " select #{journey}, #{segment}, p.id from person p"
          + " where p.id in "
          + PEOPLE)
  void add(long journey, String segment, Long[] people);

  @Delete(
      "delete from segment_member where journey_id = #{journey} and segment = #{segment}"
          + " and person_id in "
          + PEOPLE)
  void remove(long journey, String segment, Long[] people);
}
