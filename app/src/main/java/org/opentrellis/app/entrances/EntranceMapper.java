package org.opentrellis.app.entrances;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.opentrellis.app.storage.NewKey;

@Mapper
interface EntranceMapper {
  String ABOUT = "id, slug, document, version, is_on as \"on\"";

  @Select("select " + ABOUT + " from entrance order by id")
  List<EntranceRow> all();

  @Select("select " + ABOUT + " from entrance where id = #{id}")
  Optional<EntranceRow> find(long id);

  @Select("select " + ABOUT + " from entrance where slug = #{slug}")
  Optional<EntranceRow> bySlug(String slug);

  @Insert(
      """
      insert into entrance (slug, document, made_at) values (#{slug}, #{document}, #{at})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insert(
      @Param("slug") String slug,
      @Param("document") String document,
      @Param("at") OffsetDateTime at,
      @Param("key") NewKey key);

  /** How many were changed: none if somebody else has saved it since. */
  @Update(
      """
      update entrance set document = #{document}, version = version + 1
      where id = #{id} and version = #{version}
      """)
  int save(long id, int version, String document);

  @Update("update entrance set is_on = #{on} where id = #{id}")
  void turn(@Param("id") long id, @Param("on") boolean on);

  @Delete("delete from entrance where id = #{id}")
  int delete(long id);

  /** What happened at an entrance on a day. */
  record DayRow(long entranceId, LocalDate onDay, long visits, long signUps) {}

  @Update(
      """
      merge into entrance_day d
        using (values (#{entrance}, #{day}, #{visits}, #{signUps})) as n (id, on_day, visits, sign_ups)
        on d.entrance_id = n.id and d.on_day = n.on_day
      when matched then
        update set visits = d.visits + n.visits, sign_ups = d.sign_ups + n.sign_ups
      when not matched then
        insert (entrance_id, on_day, visits, sign_ups)
          values (n.id, n.on_day, n.visits, n.sign_ups)
      """)
  void count(long entrance, LocalDate day, long visits, long signUps);

  @Select(
      """
      select entrance_id, on_day, visits, sign_ups from entrance_day where on_day >= #{since}
      order by on_day
      """)
  List<DayRow> days(LocalDate since);
}
