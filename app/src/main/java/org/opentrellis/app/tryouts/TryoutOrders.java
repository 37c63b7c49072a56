package org.opentrellis.app.tryouts;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What somebody who tries a journey on themselves wants. */
final class TryoutOrders {
  private TryoutOrders() {}

  /**
   * Who tries it.
   *
   * @param firstName empty for none
   * @param lastName likewise
   * @param texts whether they agreed to texts
   * @param trigger the position of what brings them in among the journey's triggers; -1 if they are
   *     put in by hand
   * @param lists that they are on already
   * @param tags that they carry already
   */
  record TryoutWho(
      String firstName,
      String lastName,
      boolean texts,
      int trigger,
      List<String> lists,
      List<String> tags) {}

  /** What they do. */
  enum TryoutDeed {
    /** They wait until something is due. */
    WAIT,
    /** They go on at once from where they wait. */
    SKIP_WAIT,
    OPEN,
    CLICK,
    BUY,
    UNSUBSCRIBE,
    COMPLAIN,
    /** The last thing that they did is undone. */
    UNDO
  }

  /**
   * @param done how many things they had done before; so nothing is done twice by accident
   * @param mail the number of the message that it is done with; null if it is none
   * @param link the name of the link that is clicked
   * @param product what is bought
   */
  record TryoutAct(
      TryoutDeed deed,
      int done,
      @Nullable Integer mail,
      @Nullable String link,
      @Nullable String product) {}
}
