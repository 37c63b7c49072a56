package org.opentrellis.app.people;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultType;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.session.ResultHandler;

/** Reads the numbers of people, many at a time. */
@Mapper
interface ThoseMapper {
  @Select("${where.sql}")
  @ResultType(Long.class)
  void read(@Param("where") Where where, ResultHandler<Long> each);
}
