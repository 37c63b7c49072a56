package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface EditionMapper {
  String ABOUT =
      "number, journey_id, kind, at, version, document, catalogue, takes_along, pressure";

  @Select("select " + ABOUT + " from edition where number > #{after} order by number")
  List<EditionRow> after(int after);

  @Select("select coalesce(max(number), 0) from edition")
  int newest();

  /** Those in which some text stands. */
  @Select(
      "select "
          + ABOUT
          + " from edition where locate(#{text}, document) > 0 or locate(#{text}, catalogue) > 0"
          + " order by number")
  List<EditionRow> holding(String text);

  @Insert(
      """
      insert into edition (number, journey_id, kind, at, version, document, catalogue, takes_along,
        pressure)
      values (#{number}, #{journeyId}, #{kind}, #{at}, #{version}, #{document}, #{catalogue},
        #{takesAlong}, #{pressure})
      """)
  void insert(EditionRow row);

  @Update(
      "update edition set document = #{document}, catalogue = #{catalogue} where number = #{number}")
  void rewrite(
      @Param("number") int number,
      @Param("document") @Nullable String document,
      @Param("catalogue") @Nullable String catalogue);

  /** The newest of anything but newsletters; 0 if there is none. */
  @Select(
      """
      select coalesce(max(e.number), 0) from edition e left join journey j on j.id = e.journey_id
      where j.kind is null or j.kind <> 'NEWSLETTER'
      """)
  int newestOfOthers();

  /** What people enter, or could enter last; nothing if it never was open. */
  @Select(
      "select "
          + ABOUT
          + " from edition where journey_id = #{journey} and kind = 'OPENED'"
          + " order by number desc limit 1")
  Optional<EditionRow> opened(long journey);
}
