package org.opentrellis.app.letters;

import java.util.List;
import java.util.Map;

/**
 * Somebody who is not there, to look at a message as they would see it.
 *
 * @param firstName empty for none
 * @param lastName likewise
 * @param fields their values, as they are typed
 * @param holding the passages that are for them
 */
record MadeUpPerson(
    String firstName, String lastName, Map<String, String> fields, List<String> holding) {
  static final MadeUpPerson NOBODY = new MadeUpPerson("", "", Map.of(), List.of());
}
