<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Store;
use IdleRidge\Core\Water\WaterPlan;
use IdleRidge\Core\Water\Waters;

/**
 * What goes onto the land and when: zones, their coats in order, what was begun, rooms, bench times, the journal, what lies in store,
 * recipes and colours of one's own.
 */
final readonly class Works
{
    /**
     * @param  list<Zone>  $zones
     * @param  list<Coat>  $coats each zone's in their order
     * @param  list<CoatApplication>  $laid
     * @param  list<Room>  $rooms the first is where sections stand that name none
     * @param  list<BenchTime>  $times
     * @param  list<OwnRecipe>  $recipes
     * @param  list<Colour>  $colours
     * @param  list<PackPrice>  $prices
     * @param  list<CoatApplication>  $stripped what was laid and taken off again
     * @param  list<HiddenThing>  $hidden under the land
     * @param  array<string, AirLog>  $logs room uid → what was read there
     */
    public function __construct(
        public array $zones = [],
        public array $coats = [],
        public array $laid = [],
        public array $rooms = [],
        public array $times = [],
        public Journal $journal = new Journal(),
        public Store $store = new Store(),
        public array $recipes = [],
        public array $colours = [],
        public array $logs = [],
        public array $prices = [],
        public array $stripped = [],
        public array $hidden = [],
        public Growth $growth = new Growth(),
        public Waters $waters = new Waters(),
    ) {
    }

    /**
     * What was begun, by whether it still lies there.
     *
     * @param  list<CoatApplication>  $begun
     * @return array{laid: list<CoatApplication>, stripped: list<CoatApplication>}
     */
    public static function apart(array $begun): array
    {
        $lies = fn (CoatApplication $l): bool => $l->strippedAt === null;

        return [
            'laid' => array_values(array_filter($begun, $lies)),
            'stripped' => array_values(array_filter($begun, fn (CoatApplication $l): bool => ! $lies($l))),
        ];
    }

    /**
     * The same with some lists in the place of its own.
     *
     * @param  array<string, mixed>  $lists by the names of the constructor
     */
    public function with(array $lists): self
    {
        return new self(...$lists + get_object_vars($this));
    }

    /** What of them a plan is made of at a moment. */
    public function planned(int $now): self
    {
        return $this->with(
            ['journal' => $this->journal->planned(), 'store' => $this->store->planned($now)] +
                ['recipes' => [], 'colours' => [], 'prices' => [], 'hidden' => [], 'growth' => new Growth(), 'waters' => new Waters()],
        );
    }

    /**
     * What does not fit together.
     *
     * @param  list<Section>  $sections
     * @return list<InvalidValue> with JSON pointers
     */
    public function faults(array $sections): array
    {
        $faults = [];
        $boards = array_column(array_map(fn (Section $s): array => [$s->uid, $s], $sections), 1, 0);
        $zones = array_column(array_map(fn (Zone $z): array => [$z->uid, $z], $this->zones), 1, 0);
        $names = [];
        foreach ($this->zones as $k => $zone) {
            $board = $boards[$zone->section] ?? null;
            if ($board === null) {
                $faults[] = new InvalidValue('There is no such section.', "/zones/{$k}/section");

                continue;
            }
            $outline = $zone->outlineOn($board->placement);
            if ($outline !== null && Polygon::within($outline, 0.0, 0.0, $board->width, $board->depth) === []) {
                $faults[] = new InvalidValue(
                    "“{$zone->name}” lies outside the board, which is ".Format::several([$board->width, $board->depth], 'mm', 1).'.',
                    "/zones/{$k}/outline",
                );
            }
            $key = $zone->section.mb_strtolower($zone->name);
            if (isset($names[$key])) {
                $faults[] = new InvalidValue("Two zones of {$board->name} are called “{$zone->name}”.", "/zones/{$k}/name");
            }
            $names[$key] = true;
            foreach ($zone->goesBy() as $uid) {
                if (! isset($zones[$uid]) || $zones[$uid]->section !== $zone->section) {
                    $faults[] = new InvalidValue("“{$zone->name}” goes by a zone that is not on its section.", "/zones/{$k}/without");
                } elseif ($zones[$uid]->backdrop !== null) {
                    $faults[] = new InvalidValue("“{$zones[$uid]->name}” is a backdrop and no land to go by.", "/zones/{$k}/without");
                } elseif ($this->leavesOut($zones, $uid, $zone->uid)) {
                    $faults[] = new InvalidValue("“{$zone->name}” and “{$zones[$uid]->name}” go by each other.", "/zones/{$k}/without");
                }
            }
        }
        $colours = array_map(fn (Colour $c): string => $c->uid, $this->colours);
        foreach ($this->coats as $k => $coat) {
            if (! isset($zones[$coat->zone])) {
                $faults[] = new InvalidValue('There is no such zone.', "/coats/{$k}/zone");
            }
            if ($coat->colour !== null && ! in_array($coat->colour, $colours, true)) {
                $faults[] = new InvalidValue('There is no such colour.', "/coats/{$k}/colour");
            }
        }
        foreach ($this->colours as $k => $colour) {
            if ($colour->tied !== null && ! in_array($colour->tied['of'], $colours, true)) {
                $faults[] = new InvalidValue('There is no such colour to be a shade of.', "/colours/{$k}/tied/of");
            }
        }
        foreach ($this->hidden as $k => $thing) {
            if (! isset($boards[$thing->section])) {
                $faults[] = new InvalidValue('There is no such section.', "/hidden/{$k}/section");
            }
        }
        foreach ($this->growth->stands as $k => $stand) {
            if (! isset($boards[$stand->section])) {
                $faults[] = new InvalidValue('There is no such section.', "/stands/{$k}/section");
            } elseif ($stand->zone !== null && ($zones[$stand->zone]->section ?? null) !== $stand->section) {
                $faults[] = new InvalidValue("“{$stand->name}” grows in a zone that is not on its section.", "/stands/{$k}/zone");
            } elseif ($stand->zone !== null && in_array($stand->uid, $zones[$stand->zone]->under, true)) {
                $faults[] = new InvalidValue("“{$stand->name}” cannot grow in its own shade.", "/stands/{$k}/zone");
            }
        }
        foreach ($this->waters->mirrors as $k => $mirror) {
            if (! isset($boards[$mirror->section])) {
                $faults[] = new InvalidValue('There is no such section.', "/mirrors/{$k}/section");
            }
        }
        $planned = array_map(fn (WaterPlan $p): string => $p->water, $this->waters->plans);
        foreach (array_diff_key($planned, array_unique($planned)) as $k => $water) {
            $faults[] = new InvalidValue('That water is planned twice.', "/waters/{$k}/water");
        }
        foreach ($this->laid as $k => $laid) {
            if (! isset($boards[$laid->section])) {
                $faults[] = new InvalidValue('There is no such section.', "/laid/{$k}/section");
            }
        }
        foreach (
            [
                'recipes' => array_map(fn (OwnRecipe $o): string => $o->recipe->id, $this->recipes),
                'prices' => array_map(fn (PackPrice $p): string => $p->key(), $this->prices),
            ] as $list => $keys
        ) {
            foreach (array_diff_key($keys, array_unique($keys)) as $k => $key) {
                $faults[] = new InvalidValue("“{$key}” stands twice.", "/{$list}/{$k}");
            }
        }
        $open = array_keys(array_filter($this->laid, fn (CoatApplication $l): bool => $l->endedAt === null));
        if (count($open) > 1) {
            $faults[] = new InvalidValue('Two moves are being laid at once; one of them has to have ended.', "/laid/{$open[1]}/ended_at");
        }
        $rooms = array_map(fn (Room $r): string => $r->uid, $this->rooms);
        foreach ($sections as $k => $section) {
            if ($section->room !== null && ! in_array($section->room, $rooms, true)) {
                $faults[] = new InvalidValue('There is no such room.', "/sections/{$k}/room");
            }
        }

        foreach (array_keys($this->logs) as $k => $room) {
            if (! in_array((string) $room, $rooms, true)) {
                $faults[] = new InvalidValue('There is no such room.', "/air/{$k}/room");
            }
        }

        return [...$faults, ...$this->store->faults(), ...$this->journal->faults()];
    }

    public function room(Section $section): Room
    {
        foreach ($this->rooms as $room) {
            if ($room->uid === $section->room) {
                return $room;
            }
        }

        return $this->rooms[0] ?? Room::standard();
    }

    /** @return array<string, Zone> uid → zone of a section */
    public function zonesOf(string $section): array
    {
        return WorksIndex::of($this)->zones[$section] ?? [];
    }

    /** @return list<Coat> in the builder’s order */
    public function coatsOf(string $zone): array
    {
        return WorksIndex::of($this)->coats[$zone] ?? [];
    }

    /** @return list<MaterialLot> that went into what is laid of a coat */
    public function lotsOf(string $coat): array
    {
        $lots = [];
        foreach ($this->laid as $laid) {
            foreach ($laid->coat === $coat ? $this->store->lotsIn($laid->uid) : [] as $lot) {
                $lots[$lot->uid] = $lot;
            }
        }

        return array_values($lots);
    }

    /** @return list<CoatApplication> what was laid on a section, as it was begun */
    public function laidOn(string $section): array
    {
        return WorksIndex::of($this)->laidOn[$section] ?? [];
    }

    /** @return list<CoatApplication> what was laid in a zone */
    public function laidIn(string $zone): array
    {
        return WorksIndex::of($this)->laidIn[$zone] ?? [];
    }

    /** @return list<CoatApplication> what was laid of a coat */
    public function laidFrom(string $coat): array
    {
        return WorksIndex::of($this)->laidFrom[$coat] ?? [];
    }

    /** @return list<CoatApplication> of a coat's pass */
    public function laidOf(string $coat, int $pass): array
    {
        return WorksIndex::of($this)->laid["{$coat}/{$pass}"] ?? [];
    }

    /**
     * @param  array<string, Zone>  $zones
     * @param  array<string, true>  $seen
     */
    private function leavesOut(array $zones, string $from, string $wanted, array $seen = []): bool
    {
        foreach (isset($zones[$from]) && ! isset($seen[$from]) ? $zones[$from]->goesBy() : [] as $uid) {
            if ($uid === $wanted || $this->leavesOut($zones, $uid, $wanted, $seen + [$from => true])) {
                return true;
            }
        }

        return false;
    }
}
