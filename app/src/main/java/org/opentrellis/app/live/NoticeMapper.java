package org.opentrellis.app.live;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

@Mapper
interface NoticeMapper {
  @Insert(
      """
      insert into notice (person_id, journey_id, step, channel, address, words, at)
      values (#{person}, #{journey}, #{step}, #{channel}, #{address}, #{words}, #{at})
      """)
  void insert(
      long person,
      long journey,
      String step,
      String channel,
      String address,
      String words,
      long at);

  @Insert(
      """
      insert into notice (person_id, by_form, step, channel, address, words, at)
      values (#{person}, #{form}, '', 'TEAMMATE', #{to}, #{words}, #{at})
      """)
  void insertByForm(long person, String form, String to, String words, long at);

  /**
   * What the team was told.
   *
   * @param journeyId null if a form told it
   */
  record NoticeRow(
      long id,
      long personId,
      @Nullable Long journeyId,
      @Nullable String byForm,
      String channel,
      String address,
      String words,
      long at) {
    /** Whether a web address is told. */
    boolean isHook() {
      return channel.equals("WEB");
    }
  }

  @Select(
      """
      select id, person_id, journey_id, by_form, channel, address, words, at from notice
      order by id desc limit #{most}
      """)
  List<NoticeRow> newest(int most);
}
