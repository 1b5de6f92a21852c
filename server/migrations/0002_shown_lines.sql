ALTER TABLE "conversions" ADD COLUMN "line" jsonb;--> statement-breakpoint
ALTER TABLE "conversions" ADD COLUMN "line_of" text;