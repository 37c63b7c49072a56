package org.opentrellis.app.intake;

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
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.intake.TableForm;

@Mapper
interface TableMapper {
  String COLUMNS = "id, act_id, name, encoding, delimiter, header, terms, first_added, last_added";

  @Insert(
      """
      insert into people_table (name, at, content, encoding, delimiter, header)
      values (#{name}, #{at}, #{content}, #{form.encoding}, #{form.delimiter}, #{form.header})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
  void insert(
      @Param("name") String name,
      @Param("at") long at,
      @Param("content") byte[] content,
      @Param("form") TableForm form,
      @Param("key") NewKey key);

  /** Those that were handed in long ago and never brought in. */
  @Delete("delete from people_table where act_id is null and at < #{before}")
  void forgetOlder(long before);

  @Select("select " + COLUMNS + " from people_table where id = #{id}")
  Optional<TableRecord> find(long id);

  @Select("select " + COLUMNS + " from people_table where act_id = #{act}")
  TableRecord ofAct(long act);

  @Select("select id from people_table where act_id = #{act}")
  Optional<Long> findOfAct(long act);

  /** A holder, since the driver hands out a single column of bytes as it likes. */
  record Content(byte[] content) {}

  @Select("select content from people_table where id = #{id} and content is not null")
  Optional<Content> content(long id);

  @Update(
      """
      update people_table set encoding = #{form.encoding}, delimiter = #{form.delimiter},
        header = #{form.header} where id = #{id}
      """)
  void setForm(@Param("id") long id, @Param("form") TableForm form);

  /** Returns 0 if it is being brought in already. */
  @Update(
      "update people_table set act_id = #{act}, terms = #{terms} where id = #{id} and act_id is null")
  int begin(long id, long act, String terms);

  @Update(
      """
      update people_table set first_added = coalesce(first_added, #{first}),
        last_added = coalesce(#{last}, last_added) where id = #{id}
      """)
  void added(long id, @Nullable Long first, @Nullable Long last);

  /** The file itself is not needed any more. */
  @Update("update people_table set content = null where id = #{id}")
  void letGo(long id);

  @Insert(
      """
      insert into refused_row (table_id, row_number, line, why, cells)
      values (#{table}, #{row.rowNumber}, #{row.line}, #{row.why}, #{row.cells})
      """)
  void refuse(@Param("table") long table, @Param("row") RefusedRow row);

  /** Takes what refused rows say of an address away. */
  @Update("update refused_row set cells = '', why = '' where locate(#{address}, lower(cells)) > 0")
  void forget(String address);

  @Delete("delete from people_table where act_id is null")
  void forgetWaiting();

  @Select(
      """
      select row_number, line, why, cells from refused_row
      where table_id = #{table} and row_number > #{after} order by row_number limit #{most}
      """)
  List<RefusedRow> refused(long table, long after, int most);
}
