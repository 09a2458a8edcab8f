import { chargeTestCard, type Card, type CardResult } from "~/core/selling";

// How cards are charged. The checkout knows nothing but this face: a real provider takes the stand-in's place here.

export type Charge = {
  /** The order that is paid: asked twice for the same one, a provider charges once. */
  readonly order: string;
  readonly amount: number;
  readonly currency: string;
  readonly card: Card;
};

export type CardPayments = {
  /** What shoppers are told about it, beside the fields of the card. */
  readonly isStandIn: boolean;
  readonly charge: (charge: Charge) => Promise<CardResult>;
  /** What came of it once the bank has asked. */
  readonly answered: (order: string, isThem: boolean) => Promise<CardResult>;
  /** `once`: asked twice with the same, money goes back once. */
  readonly refund: (order: string, amount: number, once: string) => Promise<boolean>;
};

/** Charges nobody: the number of a test card says what comes of it. */
export const cardPayments: CardPayments = {
  isStandIn: true,
  charge: async ({ card }) => Promise.resolve(chargeTestCard(card.number)),
  answered: async (_order, isThem) => Promise.resolve(isThem ? "paid" : "declined"),
  refund: async () => Promise.resolve(true),
};
