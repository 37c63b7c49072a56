package org.opentrellis.app.letters;

/**
 * An HTML mail that is to become a message.
 *
 * @param name of the message
 * @param keep whether it is kept; else only what it comes to is told
 */
record HtmlImportOrder(String name, String html, boolean keep) {}
