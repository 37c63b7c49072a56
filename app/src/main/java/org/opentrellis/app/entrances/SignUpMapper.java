package org.opentrellis.app.entrances;

import static org.opentrellis.app.storage.Columns.LONGS;
import static org.opentrellis.app.storage.Columns.TEXTS;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface SignUpMapper {
  String ABOUT = "id, entrance_id, address, filled, agreement, at, tries";

  /**
   * Somebody who signed up.
   *
   * @param filled what they filled in, as JSON
   * @param agreement what they agreed to, word for word
   */
  record SignUpRow(
      long id,
      long entranceId,
      String address,
      String filled,
      String agreement,
      long at,
      int tries) {}

  /** Those of some forms that were sent before. */
  @Select(
      "select s.sent_form from unnest(cast(#{entrances"
          + LONGS
          + ", cast(#{forms"
          + TEXTS
          + ") as c (entrance_id, sent_form)"
          + " join sign_up s on s.entrance_id = c.entrance_id and s.sent_form = c.sent_form")
  List<String> among(Long[] entrances, String[] forms);

  @Insert(
      """
      insert into sign_up (entrance_id, sent_form, address, address_key, filled, agreement, at,
        awaits, try_at, person_id)
      values (#{row.entranceId}, #{sentForm}, #{row.address}, #{key}, #{row.filled},
        #{row.agreement}, #{row.at}, #{awaits}, #{row.at}, #{person})
      """)
  void insert(
      @Param("row") SignUpRow row,
      @Param("sentForm") String sentForm,
      @Param("key") String key,
      @Param("awaits") boolean awaits,
      @Param("person") @Nullable Long person);

  /** Those who are to be asked by mail whether it was they. */
  @Select(
      "select "
          + ABOUT
          + " from sign_up where awaits = true and mailed_at is null and try_at <= #{now}"
          + " order by try_at, id limit #{most}")
  List<SignUpRow> toBeAsked(long now, int most);

  @Update(
      """
      update sign_up set token_before = token_hash, token_hash = #{tokenHash}, tries = tries + 1
      where id = #{id}
      """)
  void hasToken(long id, String tokenHash);

  @Update("update sign_up set mailed_at = #{at} where id = #{id}")
  void asked(@Param("id") long id, @Param("at") long at);

  @Update("update sign_up set try_at = #{at} where id = #{id}")
  void later(@Param("id") long id, @Param("at") long at);

  /** Whoever may confirm by a token; whoever else would at the same time waits. */
  @Select(
      "select "
          + ABOUT
          + " from sign_up where token_hash = #{tokenHash} or token_before = #{tokenHash} for update")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  Optional<SignUpRow> byToken(String tokenHash);

  @Select("select awaits from sign_up where id = #{id}")
  boolean awaits(long id);

  @Update(
      """
      update sign_up set awaits = false, confirmed_at = #{at}, person_id = #{person}
      where id = #{id}
      """)
  void confirmed(long id, long at, long person);

  /** Whoever is forgotten. */
  @Delete("delete from sign_up where address_key = #{key}")
  void forget(String key);
}
