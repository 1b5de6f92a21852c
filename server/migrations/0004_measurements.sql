CREATE TABLE "measurements" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"conversion_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"value" double precision NOT NULL,
	"lead" text,
	"of" text,
	"position_id" text,
	"hz" double precision,
	"motor_rpm" double precision,
	"dial" double precision,
	"from_rpm" double precision,
	"to_rpm" double precision,
	"instrument" text,
	"by" text,
	"note" text,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "conversions" ADD COLUMN "readings_revision" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "measurements" ADD CONSTRAINT "measurements_conversion_id_conversions_id_fk" FOREIGN KEY ("conversion_id") REFERENCES "public"."conversions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "measurements_conversion_id_taken_at_index" ON "measurements" USING btree ("conversion_id","taken_at");