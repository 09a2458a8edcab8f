export { ReviewsPage as default } from "~/studio/goods";
