package org.opentrellis.mail;

import java.util.Optional;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;

/** What a rendered letter is made of: what is the same for everybody, and places to fill. */
sealed interface Piece {

  /** HTML that is the same for everybody. */
  record Fixed(String html) implements Piece {}

  /** A person's own value, to be escaped. */
  record Value(MergeField field) implements Piece {}

  /** Where a link leads. */
  record Leads(Target to, Optional<LinkName> name) implements Piece {}

  /** Where a picture lies. */
  record PictureOf(FileName file, boolean withPlayMark) implements Piece {}

  /** Where the picture of the days that are left lies. */
  record DaysLeft(Part.Countdown countdown) implements Piece {}

  /** The products that are shown to somebody. */
  record Products(Part.Products part, Look look) implements Piece {}

  /** What is new for somebody. */
  record News(Part.News part, Look look) implements Piece {}

  /** What tells that the mail was opened. */
  record OpenMark() implements Piece {}
}
