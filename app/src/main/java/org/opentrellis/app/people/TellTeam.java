package org.opentrellis.app.people;

/**
 * Somebody of the team is to be told of a person.
 *
 * @param by the form that tells it
 * @param to whom
 * @param at in epoch seconds
 */
public record TellTeam(long person, String by, String to, String words, long at) {}
