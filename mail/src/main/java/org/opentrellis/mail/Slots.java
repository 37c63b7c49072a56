package org.opentrellis.mail;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Places in MJML for what its renderer is not to see. Nothing that a user wrote stands in the MJML,
 * so nothing of it can be taken for a place, or for MJML.
 */
final class Slots {
  private static final Pattern TOKEN = Pattern.compile("slot-(\\d+)-slot");

  private final List<List<Piece>> filled = new ArrayList<>();

  /** A token to write down where the pieces belong. */
  String of(List<Piece> pieces) {
    filled.add(pieces);
    return "slot-" + (filled.size() - 1) + "-slot";
  }

  String of(Piece piece) {
    return of(List.of(piece));
  }

  String text(String text) {
    return of(new Piece.Fixed(Escaped.html(text)));
  }

  /** The pieces that rendered HTML is made of; fixed ones that follow each other are one. */
  List<Piece> within(String html) {
    List<Piece> pieces = new ArrayList<>();
    StringBuilder fixed = new StringBuilder();
    Matcher token = TOKEN.matcher(html);
    int end = 0;
    while (token.find()) {
      fixed.append(html, end, token.start());
      for (Piece piece : filled.get(Integer.parseInt(token.group(1)))) {
        if (piece instanceof Piece.Fixed same) {
          fixed.append(same.html());
        } else {
          flush(fixed, pieces);
          pieces.add(piece);
        }
      }
      end = token.end();
    }
    fixed.append(html, end, html.length());
    flush(fixed, pieces);
    return List.copyOf(pieces);
  }

  private static void flush(StringBuilder fixed, List<Piece> pieces) {
    if (!fixed.isEmpty()) {
      pieces.add(new Piece.Fixed(fixed.toString()));
      fixed.setLength(0);
    }
  }
}
