package org.opentrellis.app.starters;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.message.Manuscript;

/**
 * A ready-made email to begin from.
 *
 * @param messages of starter journeys that begin with it
 * @param reasons for its parts, by their ids (common practice, no source)
 */
record LetterStarter(
    String id,
    String name,
    List<String> messages,
    Manuscript.Email email,
    Map<String, String> reasons) {}
