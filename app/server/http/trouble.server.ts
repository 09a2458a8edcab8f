import { isDiskFull, isOutOfReach } from "../database/index.server";

const NOT_REACHED =
  "The studio can’t reach its database. What you have done is saved in this browser; try again in a moment.";
const FULL =
  "There is no room left on the studio’s disk. What you have done is saved in this browser; it goes on when there is room.";

/** The answer to trouble that is the machine's and passes; undefined where an error is of another kind. */
export function troubleOf(error: unknown): Response | undefined {
  if (isOutOfReach(error)) return Response.json({ why: NOT_REACHED }, { status: 503, headers: { "Retry-After": "3" } });
  // RFC 4918, 11.5.
  if (isDiskFull(error)) return Response.json({ why: FULL }, { status: 507 });
  return undefined;
}

/** A route's function that says what is wrong with the machine, instead of failing with it. */
export const orSayTrouble =
  <Args extends object, Result>(answer: (args: Args) => Promise<Result>) =>
  async (args: Args): Promise<Result | Response> => {
    try {
      return await answer(args);
    } catch (error) {
      const trouble = troubleOf(error);
      if (!trouble) throw error;
      console.error(error instanceof Error ? error.message : error);
      return trouble;
    }
  };
