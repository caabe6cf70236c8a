<?php

declare(strict_types=1);

namespace IdleRidge\Core\Findings;

use IdleRidge\Core\Measure\Quantity;

/**
 * Something a builder should know, at its place, with the figures behind it, why it matters and what to do.
 */
final readonly class Finding
{
    /** @param  array<string, Quantity>  $figures */
    public function __construct(
        public string $id,
        public Severity $severity,
        public string $subject,
        public string $section,
        public Place $place,
        public array $figures,
        public string $why,
        public string $do,
    ) {
    }

    /** @return array<string, mixed> the form of docs/formats/finding.schema.json */
    public function toArray(): array
    {
        $figures = [];
        foreach ($this->figures as $name => $figure) {
            $figures[$name] = ['value' => round($figure->value, 3), 'unit' => $figure->unit];
        }

        return [
            'id' => $this->id,
            'severity' => $this->severity->value,
            'subject' => $this->subject,
            'section' => $this->section,
            'place' => $this->place->toArray(),
            'figures' => $figures === [] ? (object) [] : $figures,
            'why' => $this->why,
            'do' => $this->do,
        ];
    }
}
