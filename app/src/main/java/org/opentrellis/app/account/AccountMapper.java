package org.opentrellis.app.account;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {
  @Select("select monthly_quota, segment_price, emails_per_week from sending_limits")
  LimitsRow limits();

  @Update(
      """
      update sending_limits set monthly_quota = #{monthlyQuota}, segment_price = #{segmentPrice},
        emails_per_week = #{emailsPerWeek}
      """)
  void set(LimitsRow row);
}
