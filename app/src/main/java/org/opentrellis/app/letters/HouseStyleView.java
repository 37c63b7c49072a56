package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * How all messages look.
 *
 * @param version 0 as long as nobody has said so
 * @param told what is hard to read in it, in sentences
 * @param typefaces what mail programs have
 */
record HouseStyleView(
    @Schema(ref = Schemas.HOUSE_STYLE) JsonNode style,
    int version,
    List<Contrast> told,
    List<TypefaceChoice> typefaces) {

  /**
   * Two colours that stand on each other.
   *
   * @param ratio of WCAG 2.2, from 1 to 21
   */
  record Contrast(String what, double ratio, double least, boolean enough, String sentence) {}

  record TypefaceChoice(String name, String words, String families) {}
}
