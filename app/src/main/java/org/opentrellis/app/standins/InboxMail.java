package org.opentrellis.app.standins;

import java.util.List;

/**
 * A mail as it came.
 *
 * @param headers in their order, decoded
 * @param parts what it is made of
 * @param html empty if it has none
 * @param plain likewise
 * @param links where its HTML leads, in order
 */
record InboxMail(
    InboxLine line,
    List<MailHeader> headers,
    List<MailPart> parts,
    String html,
    String plain,
    List<MailLink> links) {

  record MailHeader(String name, String value) {}

  record MailPart(String type, String encoding, int bytes) {}

  record MailLink(String words, String address) {}
}
