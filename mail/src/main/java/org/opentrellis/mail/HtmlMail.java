package org.opentrellis.mail;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.message.Manuscript;

/**
 * What an HTML mail comes to.
 *
 * @param pictures that were in it, by the names that its parts call them
 * @param told what could not be kept, in sentences
 */
public record HtmlMail(
    Manuscript.Email email, Map<String, TakenFile> pictures, List<String> told) {}
