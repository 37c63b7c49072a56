package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.Arrays;
import java.util.BitSet;

/**
 * One person inside a journey: where they are, what their record says, and the evidence about the
 * emails they got. Times are epoch seconds; {@link #NEVER} means that it has not happened and is
 * not known to happen. Evidence may lie ahead of {@link #now}: a driver that samples knows when an
 * email will be opened as soon as it is sent, and conditions compare times.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class PersonState {
  public static final long NEVER = Long.MAX_VALUE;

  // Where the person is.
  int node;
  long now;
  long entryAt;
  ZoneId zone;

  /** Tags and lists of the person's record, by the program's numbering. */
  final BitSet record = new BitSet();

  // Evidence by email.
  final long[] deliveredAt;
  final long[] recordedOpenAt;
  final long[] peopleOpenAt;
  final long[] clickAt;
  final int[] clickedLink;

  // Evidence about the person.
  long unsubscribesAt;
  long bouncesAt;
  long buysAt;

  PersonState(int emails) {
    deliveredAt = new long[emails];
    recordedOpenAt = new long[emails];
    peopleOpenAt = new long[emails];
    clickAt = new long[emails];
    clickedLink = new int[emails];
  }

  /** Starts a new person, or the same person's new pass, at the first step. */
  public void enter(int firstNode, long entryAt, ZoneId zone) {
    this.node = firstNode;
    this.entryAt = entryAt;
    this.now = entryAt;
    this.zone = zone;
    Arrays.fill(deliveredAt, NEVER);
    Arrays.fill(recordedOpenAt, NEVER);
    Arrays.fill(peopleOpenAt, NEVER);
    Arrays.fill(clickAt, NEVER);
    unsubscribesAt = NEVER;
    bouncesAt = NEVER;
    buysAt = NEVER;
  }

  public long now() {
    return now;
  }

  public long entryAt() {
    return entryAt;
  }

  public ZoneId zone() {
    return zone;
  }

  public long unsubscribesAt() {
    return unsubscribesAt;
  }

  public long buysAt() {
    return buysAt;
  }

  /** The tags and lists of the person; a driver fills it before a person's first pass. */
  public BitSet record() {
    return record;
  }

  public void delivered(int email, long at) {
    deliveredAt[email] = at;
  }

  /** Notes a recorded open; the earliest counts. */
  public void recordsOpen(int email, long at) {
    recordedOpenAt[email] = Math.min(recordedOpenAt[email], at);
  }

  /** Notes that the person read the email, which is recorded as an open too. */
  public void opens(int email, long at) {
    peopleOpenAt[email] = Math.min(peopleOpenAt[email], at);
    recordsOpen(email, at);
  }

  /** Notes the first click. */
  public void clicks(int email, int link, long at) {
    if (at < clickAt[email]) {
      clickAt[email] = at;
      clickedLink[email] = link;
    }
  }

  public void unsubscribes(long at) {
    unsubscribesAt = Math.min(unsubscribesAt, at);
  }

  public void bouncesForGood(long at) {
    bouncesAt = Math.min(bouncesAt, at);
  }

  public void buys(long at) {
    buysAt = Math.min(buysAt, at);
  }

  public long deliveredAt(int email) {
    return deliveredAt[email];
  }

  public long recordedOpenAt(int email) {
    return recordedOpenAt[email];
  }

  public long peopleOpenAt(int email) {
    return peopleOpenAt[email];
  }

  public long clickAt(int email) {
    return clickAt[email];
  }

  public int clickedLink(int email) {
    return clickedLink[email];
  }
}
