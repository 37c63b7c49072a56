package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Whom something is done to.
 *
 * @param find a sentence in the words of a journey's conditions; empty for everybody
 * @param search what stands in their names or addresses
 * @param chosen only these of them; null for all
 */
record Whom(String find, String search, @Nullable List<Long> chosen) {}
