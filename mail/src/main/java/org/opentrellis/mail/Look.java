package org.opentrellis.mail;

import org.opentrellis.core.message.HouseStyle;

/** What blocks that are written without MJML need to know of the style. */
record Look(String families, int size, String ink, String link) {
  static Look of(HouseStyle style) {
    return new Look(
        style.typeface().families(),
        style.size(),
        style.colours().ink().value(),
        style.colours().link().value());
  }
}
