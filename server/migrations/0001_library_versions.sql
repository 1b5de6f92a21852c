ALTER TABLE "library_items" ADD COLUMN "version" integer;--> statement-breakpoint
-- What was kept before items had a version has the fields of plan version 2.
UPDATE "library_items" SET "version" = 2;--> statement-breakpoint
ALTER TABLE "library_items" ALTER COLUMN "version" SET NOT NULL;--> statement-breakpoint
-- One name stands for one item of its kind: of several the oldest keeps the name, the others are told apart by their id.
UPDATE "library_items" AS item SET "name" = left(item."name", 69) || ' (' || left(item."id"::text, 8) || ')'
WHERE EXISTS (
  SELECT 1 FROM "library_items" AS other
  WHERE other."shop_id" = item."shop_id" AND other."kind" = item."kind" AND other."name" = item."name"
    AND (other."created_at", other."id") < (item."created_at", item."id")
);--> statement-breakpoint
DROP INDEX "library_items_shop_id_index";--> statement-breakpoint
CREATE UNIQUE INDEX "library_items_shop_id_kind_name_index" ON "library_items" USING btree ("shop_id","kind","name");
