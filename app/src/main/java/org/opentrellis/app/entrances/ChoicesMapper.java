package org.opentrellis.app.entrances;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;

@Mapper
interface ChoicesMapper {
  /** The page as a document. */
  record ChoicesRow(String document, int version) {
    ChoicesPage page() {
      return Documents.readChoicesPage(Json.tree(document));
    }
  }

  @Select("select document, version from choices_page")
  Optional<ChoicesRow> find();

  @Insert("insert into choices_page (id, document) values (1, #{document})")
  void insert(String document);

  /** None if somebody else has saved it since. */
  @Update(
      """
      update choices_page set document = #{document}, version = version + 1
      where version = #{version}
      """)
  int save(String document, int version);
}
