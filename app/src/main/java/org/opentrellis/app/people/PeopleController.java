package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people")
class PeopleController {
  private final People people;
  private final PersonKeeping keeping;

  PeopleController(People people, PersonKeeping keeping) {
    this.people = people;
    this.keeping = keeping;
  }

  @GetMapping
  PeoplePage findPeople(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "NAME") PeopleOrder order,
      @RequestParam(required = false) @Nullable Long after) {
    return people.find(new PeopleAsked(find, "", order, after));
  }

  /** The same where something is looked for in names and addresses, which never stand in a URL. */
  @PostMapping("/pages")
  PeoplePage searchPeople(@RequestBody PeopleAsked asked) {
    return people.find(asked);
  }

  @PostMapping
  PersonView addPerson(@RequestBody NewPerson person) {
    return keeping.add(person);
  }

  @GetMapping("/{id}")
  PersonView getPerson(@PathVariable long id) {
    return people.view(id);
  }

  @PutMapping("/{id}")
  PersonView changePerson(@PathVariable long id, @RequestBody PersonEdit edit) {
    return keeping.change(id, edit);
  }

  @PostMapping("/readings")
  WhoView readWho(@RequestBody TypedWho typed) {
    return people.read(typed);
  }
}
