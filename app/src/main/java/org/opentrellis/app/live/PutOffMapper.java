package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Whose turns have failed. */
@Mapper
interface PutOffMapper {
  /**
   * Somebody whose turn is tried again.
   *
   * @param told what they are to be told then, as a JSON list
   */
  record PutOffRow(long personId, String told, int tries, long tryAt, String said) {}

  @Insert(
      """
      merge into put_off (person_id, told, tries, try_at, said) key (person_id)
      values (#{personId}, #{told}, #{tries}, #{tryAt}, #{said})
      """)
  void keep(PutOffRow row);

  @Select("select person_id, told, tries, try_at, said from put_off where person_id = #{person}")
  Optional<PutOffRow> find(long person);

  @Select(
      """
      select person_id, try_at as next_at from put_off where try_at <= #{until}
      order by try_at, person_id limit #{most}
      """)
  List<LifeMapper.Due> due(long until, int most);

  @Select("select exists (select 1 from put_off)")
  boolean any();

  @Select("select min(try_at) from put_off")
  Optional<Long> next();

  @Select("select person_id, told, tries, try_at, said from put_off order by try_at limit #{most}")
  List<PutOffRow> some(int most);

  @Delete("delete from put_off where person_id = #{person}")
  void over(long person);
}
