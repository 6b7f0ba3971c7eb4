-- The ends of a board's figures as columns, so that a large shelf is sifted without reading its documents. A document that is not as it should be gives null and is not refused here.
CREATE FUNCTION figure_low(figure jsonb) RETURNS double precision LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
	SELECT CASE
		WHEN jsonb_typeof(figure->'value') = 'number' THEN (figure->>'value')::double precision
		WHEN jsonb_typeof(figure->'low') = 'number' THEN (figure->>'low')::double precision
	END
$$;--> statement-breakpoint
CREATE FUNCTION figure_high(figure jsonb) RETURNS double precision LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
	SELECT CASE
		WHEN jsonb_typeof(figure->'value') = 'number' THEN (figure->>'value')::double precision
		WHEN jsonb_typeof(figure->'high') = 'number' THEN (figure->>'high')::double precision
	END
$$;--> statement-breakpoint
-- Unlike least and greatest: null where either is.
CREATE FUNCTION least_of(a double precision, b double precision) RETURNS double precision LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
	SELECT CASE WHEN a IS NOT NULL AND b IS NOT NULL THEN least(a, b) END
$$;--> statement-breakpoint
CREATE FUNCTION most_of(a double precision, b double precision) RETURNS double precision LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
	SELECT CASE WHEN a IS NOT NULL AND b IS NOT NULL THEN greatest(a, b) END
$$;--> statement-breakpoint
CREATE FUNCTION cheapest(offers jsonb) RETURNS double precision LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
	SELECT min((offer->>'cents')::double precision)
	FROM jsonb_array_elements(CASE WHEN jsonb_typeof(offers) = 'array' THEN offers ELSE '[]' END) AS offer
	WHERE coalesce(offer->>'currency', 'EUR') = 'EUR' AND jsonb_typeof(offer->'cents') = 'number'
$$;--> statement-breakpoint
ALTER TABLE "boards"
	ADD COLUMN "format" text GENERATED ALWAYS AS (coalesce(body->>'version', '')) STORED NOT NULL,
	ADD COLUMN "short_mm" double precision GENERATED ALWAYS AS (least_of(figure_low(body->'lengthMm'), figure_low(body->'widthMm'))) STORED,
	ADD COLUMN "long_mm" double precision GENERATED ALWAYS AS (greatest(figure_low(body->'lengthMm'), figure_low(body->'widthMm'))) STORED,
	ADD COLUMN "height_mm" double precision GENERATED ALWAYS AS (figure_low(body->'heightMm')) STORED,
	ADD COLUMN "mass_g" double precision GENERATED ALWAYS AS (figure_low(body->'massG')) STORED,
	ADD COLUMN "pack_volts" double precision GENERATED ALWAYS AS (coalesce(figure_high(body->'packMaxVolts'), least_of(most_of(figure_high(body->'packCells'->'max'), 0), 1000) * 4.2::double precision + 0.001::double precision)) STORED,
	ADD COLUMN "fewest_cells" double precision GENERATED ALWAYS AS (figure_low(body->'packCells'->'min')) STORED,
	ADD COLUMN "channels" double precision GENERATED ALWAYS AS (case when body ? 'esc' then figure_high(body->'esc'->'channels') else 0 end) STORED,
	ADD COLUMN "continuous_amps" double precision GENERATED ALWAYS AS (figure_high(body->'esc'->'continuousAmps')) STORED,
	ADD COLUMN "motor_amps" double precision GENERATED ALWAYS AS (most_of(figure_high(body->'esc'->'continuousAmps'), figure_high(body->'esc'->'burstAmps'))) STORED,
	ADD COLUMN "cents" double precision GENERATED ALWAYS AS (cheapest(body->'offers')) STORED;
