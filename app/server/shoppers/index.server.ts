export { shopperLetter } from "./letters";
export {
  closeOtherSessions,
  closeShopperSession,
  openShopperSession,
  SESSION_DAYS,
  shopperOfSession,
  type ShopperIdentity,
} from "./sessions";
export {
  askForLink,
  askForMail,
  changeMail,
  changeShopperPassword,
  deleteShopper,
  dropAddress,
  keepAddress,
  linkSays,
  openAccount,
  renameShopper,
  shopperIdFor,
  shoppersOf,
  signInShopper,
  type SendLetter,
  type ShopperLetter,
} from "./shoppers";
