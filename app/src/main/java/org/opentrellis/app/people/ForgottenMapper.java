package org.opentrellis.app.people;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ForgottenMapper {
  @Select("select secret from fingerprint_key")
  Optional<String> key();

  @Insert("insert into fingerprint_key (secret) values (#{secret})")
  void keepKey(String secret);

  @Select("select not exists (select 1 from forgotten)")
  boolean none();

  @Insert("merge into forgotten (fingerprint, at) key (fingerprint) values (#{fingerprint}, #{at})")
  void note(String fingerprint, long at);

  @Delete("delete from forgotten where fingerprint = #{fingerprint}")
  void release(String fingerprint);

  @Select(
      "select f.fingerprint from unnest(cast(#{prints"
          + ChangeMapper.TEXTS
          + ") as c (print) join forgotten f on f.fingerprint = c.print")
  List<String> among(String[] prints);
}
