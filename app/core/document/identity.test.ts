import { describe, expect, it } from "vitest";
import { contactFields } from "../schema/contact";
import { daysWords, hoursProblem, hoursWords, socialName } from ".";

describe("opening hours", () => {
  it("are read as people write them: three days or more as a span", () => {
    expect(daysWords([4, 5, 6])).toBe("Thu–Sat");
    expect(daysWords([1, 2])).toBe("Mon, Tue");
    expect(daysWords([7, 1, 3, 4, 5])).toBe("Mon, Wed–Fri, Sun");
    expect(daysWords([6, 6])).toBe("Sat");
    expect(hoursWords({ days: [1, 2, 3, 4, 5], from: "09:30", to: "18:00" })).toBe("Mon–Fri 09:30–18:00");
  });

  it("need a day, and a time between opening and closing; past midnight is one line", () => {
    expect(hoursProblem({ days: [], from: "10:00", to: "17:00" })).toContain("at least one day");
    expect(hoursProblem({ days: [1], from: "10:00", to: "10:00" })).toContain("open for some time");
    expect(hoursProblem({ days: [5], from: "20:00", to: "02:00" })).toBeUndefined();
    const { hours } = contactFields;
    expect(hours.safeParse([{ days: [1], from: "24:00", to: "17:00" }]).success).toBe(false);
    expect(hours.safeParse([{ days: [8], from: "10:00", to: "17:00" }]).success).toBe(false);
    expect(hours.safeParse([{ days: [1], from: "10:00", to: "17:00" }]).success).toBe(true);
  });
});

describe("how a shop is reached", () => {
  it("takes phone numbers as they are written around the world, and nothing that is none", () => {
    // Numbers that are set aside for films and books: Ofcom's for drama, the Bundesnetzagentur's for media, 555-01xx in the
    // North American plan (from memory, as common practice).
    for (const phone of ["+44 (0)20 7946 0000", "030 23125 000", "(212) 555-0123", "+81 3-1234-5678"])
      expect([phone, contactFields.phone.safeParse(phone).success]).toEqual([phone, true]);
    for (const phone of ["call me", "12", "+49 30 1234567 ext. 8", "1; DROP"])
      expect([phone, contactFields.phone.safeParse(phone).success]).toEqual([phone, false]);
  });

  it("takes web addresses only, so that no link can do anything else", () => {
    const of = (address: string) => contactFields.social.safeParse([{ sort: "web", address, name: "" }]).success;
    for (const address of ["https://example.com/shop", "http://a.example/ü?x=1"])
      expect([address, of(address)]).toEqual([address, true]);
    for (const address of [
      "javascript:alert(1)",
      "data:text/html,x",
      "//example.com",
      "example.com",
      "https://",
      "ftp://a.example",
    ])
      expect([address, of(address)]).toEqual([address, false]);
  });

  it("calls a place elsewhere by its host where it has no name", () => {
    expect(socialName({ sort: "films", address: "https://www.films.example/kites", name: "" })).toBe("films.example");
    expect(socialName({ sort: "films", address: "https://films.example/kites", name: "Our films" })).toBe("Our films");
    expect(socialName({ sort: "films", address: "", name: "" })).toBe("Films");
  });
});
