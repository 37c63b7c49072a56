package org.opentrellis.app.account;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {
  @Select("select monthly_quota, segment_price, emails_per_week, version from sending_limits")
  LimitsRow limits();

  /** Returns 0 when somebody else has set them since. */
  @Update(
      """
      update sending_limits set monthly_quota = #{monthlyQuota}, segment_price = #{segmentPrice},
        emails_per_week = #{emailsPerWeek}, version = version + 1
      where version = #{version}
      """)
  int set(LimitsRow row);
}
