package org.opentrellis.app.demo;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.message.ButtonShape;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.Typeface;

/** How the letters of Ambercomb look. */
final class DemoStyle {
  private DemoStyle() {}

  static HouseStyle style() {
    return new HouseStyle(
        HouseStyle.USUAL.colours(),
        Typeface.BOOK,
        16,
        ButtonShape.SOFT,
        600,
        Optional.of(new FileName(DemoLetters.LOGO)),
        "Ambercomb",
        "You get this because you asked us for it at ambercomb.example or at the market.",
        List.of(
            new Part.RowLink(
                "At the stand", Link.to(new Target.Web("https://ambercomb.example/stand")))));
  }
}
