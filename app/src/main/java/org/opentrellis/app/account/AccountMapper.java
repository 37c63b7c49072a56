package org.opentrellis.app.account;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.opentrellis.core.report.SendingLimits;

@Mapper
interface AccountMapper {
  @Select(
      """
      select name, postal_address, zone, language, currency, quiet_from, quiet_to, monthly_quota,
        segment_price, emails_per_week, text_sender, text_stop, version from account
      """)
  AccountRow account();

  /** Returns 0 when somebody else has set it since. */
  @Update(
      """
      update account set name = #{name}, postal_address = #{postalAddress}, zone = #{zone},
        language = #{language}, currency = #{currency}, quiet_from = #{quietFrom},
        quiet_to = #{quietTo}, monthly_quota = #{monthlyQuota}, segment_price = #{segmentPrice},
        emails_per_week = #{emailsPerWeek}, text_sender = #{textSender}, text_stop = #{textStop},
        version = version + 1
      where version = #{version}
      """)
  int set(AccountRow row);

  /** The same for what limits sending alone. */
  @Update(
      """
      update account set monthly_quota = #{limits.monthlyQuota},
        segment_price = #{limits.segmentPrice}, emails_per_week = #{limits.emailsPerWeek},
        version = version + 1
      where version = #{version}
      """)
  int setLimits(@Param("limits") SendingLimits limits, @Param("version") int version);

  @Select("select name, address, answers_to from sender order by place")
  List<AccountOrder.SenderPart> senders();

  @Delete("delete from sender")
  void deleteSenders();

  @Insert(
      """
      insert into sender (place, name, address, answers_to)
      values (#{place}, #{sender.name}, #{sender.address}, #{sender.answersTo})
      """)
  void insertSender(@Param("place") int place, @Param("sender") AccountOrder.SenderPart sender);
}
