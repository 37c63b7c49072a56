package org.opentrellis.app.live;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import org.opentrellis.app.storage.StorageTrouble;

/** So that one whose turn fails does not stand in the way of all others. */
final class OneByOne {
  private OneByOne() {}

  /**
   * Does something for all together; if that fails, for each half, down to each alone.
   *
   * @param failed is told of whoever it fails for; not if the disk is the reason, which is nobody's
   */
  static <T> void ifNeedBe(
      List<T> all, Consumer<List<T>> work, BiConsumer<T, RuntimeException> failed) {
    try {
      work.accept(all);
    } catch (RuntimeException failure) {
      if (StorageTrouble.in(failure).isPresent()) {
        throw failure;
      }
      if (all.size() == 1) {
        failed.accept(all.getFirst(), failure);
      } else {
        int half = all.size() / 2;
        ifNeedBe(all.subList(0, half), work, failed);
        ifNeedBe(all.subList(half, all.size()), work, failed);
      }
    }
  }
}
