package org.opentrellis.mail;

import org.apache.commons.text.StringEscapeUtils;

/** Text that stands in HTML or in an attribute of it. */
final class Escaped {
  private Escaped() {}

  static String html(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '&' || c == '<' || c == '>' || c == '"' || c == '\'' || c < ' ' || c > 0xD7FF) {
        return StringEscapeUtils.escapeXml10(text);
      }
    }
    return text;
  }
}
