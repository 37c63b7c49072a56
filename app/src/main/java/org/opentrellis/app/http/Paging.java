package org.opentrellis.app.http;

import java.util.List;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/** Long lists are answered a page at a time. */
public final class Paging {
  /** So many lines are on a page. */
  public static final int SIZE = 20;

  private static final int LAST = 1_000_000;

  private Paging() {}

  /**
   * The first line of a page.
   *
   * @param page from 0
   * @throws ProblemsFound if there can be no such page
   */
  public static int from(int page) {
    if (page < 0 || page > LAST) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value", "/page", "Pages count from 0; there is no %d.".formatted(page))));
    }
    return page * SIZE;
  }
}
