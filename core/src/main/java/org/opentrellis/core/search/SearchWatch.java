package org.opentrellis.core.search;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.RunControl;

/** Watches a search: is told how far it is, may say that it is enough, and may stop it at once. */
public interface SearchWatch extends RunControl {
  /** Watches nothing and lets everything through. */
  SearchWatch NONE =
      new SearchWatch() {
        @Override
        public void reached(int people) {}

        @Override
        public boolean enough() {
          return false;
        }

        @Override
        public void best(Best best) {}
      };

  /**
   * The best so far.
   *
   * @param tried how many have been tried
   * @param people who went through the best
   * @param changes what it does otherwise than today; empty for today's journey itself
   * @param ahead by how much it is better than today, on the same people; null for today's
   */
  record Best(int tried, int people, List<String> changes, @Nullable Gain ahead) {}

  /** Whether what was found is to do; it is then tried on other people, as it would be anyway. */
  boolean enough();

  void best(Best best);
}
