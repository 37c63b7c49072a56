package org.opentrellis.app.newsletters;

/** How far a newsletter is. */
enum NewsletterPhase {
  DRAFT,
  PLANNED,
  GOING_OUT,
  GONE,
  CALLED_BACK
}
