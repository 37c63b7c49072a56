package org.opentrellis.app.standins;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PhoneMapper {
  @Insert(
      """
      insert into phone_text (phone, sender, words, segments, came_at)
      values (#{phone}, #{sender}, #{words}, #{segments}, #{at})
      """)
  void insert(String phone, String sender, String words, int segments, long at);

  @Select(
      """
      select id, phone, sender, words, segments, came_at as at from phone_text
      order by id desc limit #{most}
      """)
  List<Phone.PhoneText> newest(int most);

  @Delete("delete from phone_text where phone = #{phone}")
  void forget(String phone);
}
