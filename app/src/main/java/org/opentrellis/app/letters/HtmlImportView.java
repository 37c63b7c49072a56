package org.opentrellis.app.letters;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an HTML mail comes to.
 *
 * @param lines the message as plain text, much as Markdown
 * @param pictures that were in it and are kept
 * @param told what could not be kept
 * @param message the new message; null as long as nothing is kept
 */
record HtmlImportView(
    String subject,
    List<String> lines,
    List<String> pictures,
    List<String> told,
    @Nullable String message) {}
