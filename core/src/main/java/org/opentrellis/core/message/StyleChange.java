package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Where one message looks other than the house does; what is empty is as the house has it. */
public record StyleChange(
    Optional<Colour> ground,
    Optional<Colour> paper,
    Optional<Colour> ink,
    Optional<Colour> link,
    Optional<Colour> button,
    Optional<Colour> buttonInk,
    Optional<Typeface> typeface,
    Optional<ButtonShape> shape) {
  public static final StyleChange NONE =
      new StyleChange(
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty());

  /** What differs, in words. */
  public List<String> said() {
    List<String> said = new ArrayList<>();
    ground.ifPresent(colour -> said.add("ground " + colour));
    paper.ifPresent(colour -> said.add("paper " + colour));
    ink.ifPresent(colour -> said.add("ink " + colour));
    link.ifPresent(colour -> said.add("links " + colour));
    button.ifPresent(colour -> said.add("buttons " + colour));
    buttonInk.ifPresent(colour -> said.add("words on buttons " + colour));
    typeface.ifPresent(type -> said.add("type " + type.words().toLowerCase(Locale.ROOT)));
    shape.ifPresent(form -> said.add(form.words() + " buttons"));
    return said;
  }
}
