package org.opentrellis.core.message;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.FileName;

/**
 * How all messages and pages look.
 *
 * @param logo a picture above the letter
 * @param logoWords for those who do not see it
 * @param size of the text, in pixels
 * @param width of the letter, in pixels
 * @param why what the footer says of why somebody gets this
 * @param social where else one can be found
 */
public record HouseStyle(
    Palette colours,
    Typeface typeface,
    int size,
    ButtonShape shape,
    int width,
    Optional<FileName> logo,
    String logoWords,
    String why,
    List<Part.RowLink> social) {
  /** Our own: dark pine on near-white. */
  public static final HouseStyle USUAL =
      new HouseStyle(
          new Palette(
              new Colour("#EEF1EB"),
              new Colour("#FFFFFF"),
              new Colour("#16241D"),
              new Colour("#1F5C46"),
              new Colour("#143D30"),
              new Colour("#FFFFFF")),
          Typeface.HUMANIST,
          16,
          ButtonShape.SOFT,
          600,
          Optional.empty(),
          "",
          "You get this because you asked us to write to you.",
          List.of());

  public HouseStyle {
    size = Limits.within("the size of the text", size, 13, 22);
    width = Limits.within("the width of the letter", width, 420, 720);
    logoWords = Limits.line("the logo's words", logoWords, 200);
    why = Limits.line("why somebody gets this", why, 300);
    social = List.copyOf(social);
  }

  /** The style of a message that differs in some points. */
  public HouseStyle with(StyleChange change) {
    return new HouseStyle(
        new Palette(
            change.ground().orElse(colours.ground()),
            change.paper().orElse(colours.paper()),
            change.ink().orElse(colours.ink()),
            change.link().orElse(colours.link()),
            change.button().orElse(colours.button()),
            change.buttonInk().orElse(colours.buttonInk())),
        change.typeface().orElse(typeface),
        size,
        change.shape().orElse(shape),
        width,
        logo,
        logoWords,
        why,
        social);
  }
}
