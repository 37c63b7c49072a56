package org.opentrellis.app.calendar;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface FeedMapper {
  @Select("select token_hash from calendar_feed")
  Optional<String> tokenHash();

  @Update(
      """
      merge into calendar_feed f using (values (#{hash})) as n (hash) on f.only_one = 1
      when matched then update set token_hash = n.hash
      when not matched then insert (token_hash) values (n.hash)
      """)
  void keep(String hash);

  @Delete("delete from calendar_feed")
  void delete();
}
