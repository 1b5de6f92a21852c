CREATE TABLE "log_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"conversion_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"text" text,
	"symptom" text,
	"code" text,
	"task" text,
	"price" double precision,
	"hz" double precision,
	"position_id" text,
	"by" text,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "log_entries" ADD CONSTRAINT "log_entries_conversion_id_conversions_id_fk" FOREIGN KEY ("conversion_id") REFERENCES "public"."conversions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "log_entries_conversion_id_at_index" ON "log_entries" USING btree ("conversion_id","at");