package org.opentrellis.core.machine;

/**
 * When a person is lost for all journeys, as far as is known. Whoever comes back by their own act
 * is no longer lost, and what is told late of the time before that makes them no more so.
 */
final class Departures {
  private long erasedAt;
  private long unsubscribedAt;
  private long complainedAt;
  private long bouncedAt;

  /** The earliest of the four above. */
  long goneAt;

  /** When they last came back. */
  private long backAt;

  Departures() {
    clear();
  }

  void clear() {
    erasedAt = Person.NEVER;
    unsubscribedAt = Person.NEVER;
    complainedAt = Person.NEVER;
    bouncedAt = Person.NEVER;
    goneAt = Person.NEVER;
    backAt = Long.MIN_VALUE;
  }

  /** Takes over what was known, as it was put down. */
  void restore(long erased, long unsubscribed, long complained, long bounced, long back) {
    erasedAt = erased;
    unsubscribedAt = unsubscribed;
    complainedAt = complained;
    bouncedAt = bounced;
    backAt = back;
    goneAt = Math.min(Math.min(erased, unsubscribed), Math.min(complained, bounced));
  }

  void unsubscribes(long at) {
    if (at > backAt) {
      unsubscribedAt = Math.min(unsubscribedAt, at);
      goneAt = Math.min(goneAt, at);
    }
  }

  void complains(long at) {
    if (at > backAt) {
      complainedAt = Math.min(complainedAt, at);
      goneAt = Math.min(goneAt, at);
    }
  }

  void bounces(long at) {
    if (at > backAt) {
      bouncedAt = Math.min(bouncedAt, at);
      goneAt = Math.min(goneAt, at);
    }
  }

  void isErased(long at) {
    erasedAt = Math.min(erasedAt, at);
    goneAt = Math.min(goneAt, at);
  }

  /** Back by their own act; whoever was erased is not. */
  void comesBack(long at) {
    backAt = Math.max(backAt, at);
    unsubscribedAt = later(unsubscribedAt);
    complainedAt = later(complainedAt);
    bouncedAt = later(bouncedAt);
    goneAt = Math.min(Math.min(erasedAt, unsubscribedAt), Math.min(complainedAt, bouncedAt));
  }

  private long later(long at) {
    return at <= backAt ? Person.NEVER : at;
  }

  long erasedAt() {
    return erasedAt;
  }

  long unsubscribedAt() {
    return unsubscribedAt;
  }

  long complainedAt() {
    return complainedAt;
  }

  long bouncedAt() {
    return bouncedAt;
  }

  long backAt() {
    return backAt;
  }

  /** Why the person is gone at {@link #goneAt}. */
  LeaveReason why() {
    if (erasedAt == goneAt) {
      return LeaveReason.ERASED;
    }
    if (unsubscribedAt == goneAt) {
      return LeaveReason.UNSUBSCRIBED;
    }
    return complainedAt == goneAt ? LeaveReason.COMPLAINED : LeaveReason.BOUNCED;
  }
}
