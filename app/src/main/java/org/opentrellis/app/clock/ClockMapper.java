package org.opentrellis.app.clock;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ClockMapper {
  @Select("select turned_on from account_clock")
  long turnedOn();

  @Update("update account_clock set turned_on = #{seconds}")
  void turnOn(long seconds);

  @Select("select looked_to from account_clock where looked_to is not null")
  Optional<Long> lookedTo();

  @Update("update account_clock set looked_to = #{at}")
  void lookTo(long at);
}
