package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A person as a user has changed them. Lists and tags that are not there any more are taken away;
 * names that nothing has used yet are made.
 *
 * @param version the one that they were read at
 * @param texts whether they agreed to texts; null leaves it as it is
 * @param fields a field whose value is empty is cleared
 */
record PersonEdit(
    int version,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    String zone,
    @Nullable Texts texts,
    List<String> lists,
    List<String> tags,
    List<PersonView.Value> fields) {

  /**
   * @param how it is known that they agreed
   */
  record Texts(boolean agreed, @Nullable String how) {}
}
