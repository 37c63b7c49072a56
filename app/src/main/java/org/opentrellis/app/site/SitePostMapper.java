package org.opentrellis.app.site;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SitePostMapper {
  @Insert(
      """
      insert into site_post (title, words, posted_at) values (#{title}, #{words}, #{at})
      """)
  void insert(@Param("title") String title, @Param("words") String words, @Param("at") long at);

  /** The newest first. */
  @Select(
      """
      select id, title, words, posted_at from site_post where posted_at <= #{now}
      order by posted_at desc, id desc limit #{most}
      """)
  List<SitePost> newest(@Param("now") long now, @Param("most") int most);

  @Select("select id, title, words, posted_at from site_post where id = #{id}")
  Optional<SitePost> find(long id);
}
