package org.opentrellis.app.exchange;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.sentence.RunSheet;

/**
 * What a journey file brings.
 *
 * @param name what the journey will be called; another name than in the file if that is taken
 * @param note why it is another name, or null
 * @param sheet what it says
 * @param adds what will be new besides the journey, in sentences
 * @param clashes what is there already and is not the same
 * @param id the journey's id, once it is kept
 */
record ImportView(
    String name,
    @Nullable String note,
    RunSheet sheet,
    List<String> adds,
    List<Clash> clashes,
    @Nullable Long id) {

  /**
   * @param key names it in an order
   * @param sentence what differs
   */
  record Clash(String key, String sentence) {}
}
