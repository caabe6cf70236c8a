<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\CoatPieces;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;

/** Zones, coats, laid work and bench times as they stand in a layout's file; moments are ISO 8601 in UTC. */
final class WorksFile
{
    public static function zone(Record $r, string $uid): Zone
    {
        $slope = $r->has('slope_deg') ? self::pair($r, 'slope_deg') : null;
        $near = null;
        if ($r->has('near')) {
            $n = $r->record('near');
            $near = ['run' => $n->has('run') ? $n->text('run') : null, 'from' => $n->number('from_mm'), 'to' => $n->number('to_mm')];
            $n->close();
        }

        return new Zone(
            $uid,
            $r->text('section'),
            $r->text('name'),
            $r->has('outline') ? self::ring($r->list('outline'), $r->at('outline')) : null,
            $slope,
            $near,
            $r->words('without'),
            height: $r->has('height_mm') ? self::pair($r, 'height_mm') : null,
            damp: $r->numberOrNull('damp'),
            aspect: $r->has('aspect') ? $r->text('aspect') : null,
            within: $r->words('within'),
            also: $r->words('also'),
            crowns: $r->has('crowns')
                ? array_map(function (Record $c): array {
                    $crown = [$c->number('x_mm'), $c->number('y_mm'), $c->number('wide_mm')];
                    $c->close();

                    return $crown;
                }, $r->records('crowns'))
                : null,
            made: $r->has('made') ? $r->text('made') : null,
            backdrop: $r->has('backdrop') ? self::backdrop($r->record('backdrop')) : null,
            under: $r->words('under'),
            along: $r->has('along') ? $r->text('along') : null,
            water: $r->has('water') ? $r->text('water') : null,
            shore: $r->numberOrNull('shore_mm'),
            extra: $r->extra(),
        );
    }

    /**
     * The library as a layout works with it: with recipes of its own, and the ways that it prefers.
     *
     * @param  list<OwnRecipe>  $own
     *
     * @throws InvalidValue at `layout/bench`
     */
    public static function library(Library $library, array $own, BenchRules $bench): Library
    {
        return $library
            ->with(OwnRecipe::recipes($own))
            ->preferring($bench->ways, $bench->alcohol);
    }

    private static function pieces(Record $r): CoatPieces
    {
        $numbers = fn (string $key): array => $r->has($key) ? self::points($r->list($key), $r->at($key)) : [];
        $piece = $numbers('piece_mm');
        $pieces = $r->within(
            fn (): CoatPieces => new CoatPieces(
                $numbers('stones_mm'),
                $r->number('stripe_mm', 0.0),
                count($piece) === 2 ? [$piece[0], $piece[1]] : null,
                $r->number('joint_mm', 0.0),
            ),
        );
        $r->close();

        return $pieces;
    }

    /** @return array{edge: string, height: float} */
    private static function backdrop(Record $r): array
    {
        $backdrop = ['edge' => $r->text('edge'), 'height' => $r->number('height_mm')];
        $r->close();

        return $backdrop;
    }

    public static function coat(Record $r, string $uid, Library $library): Coat
    {
        $way = $r->has('way') ? $r->text('way') : null;
        try {
            $recipe = $library->laid($r->text('recipe'), $way);
        } catch (InvalidValue $refusal) {
            throw new InvalidValue($refusal->getMessage(), $r->at($refusal->place));
        }
        $minutes = $r->numberOrNull('minutes');
        $pieces = $r->has('pieces') ? self::pieces($r->record('pieces')) : null;
        $colour = $r->has('colour') ? $r->text('colour') : null;

        return new Coat(
            $uid,
            $r->text('zone'),
            $recipe,
            $r->number('mm'),
            $r->number('share'),
            (int) $r->number('passes'),
            $r->text('name', ''),
            blend: $r->number('blend_mm', 0.0),
            extra: $r->extra(),
            minutes: $minutes,
            colour: $colour,
            way: $way,
            pieces: $pieces,
        );
    }

    public static function recipe(Record $r, string $uid): OwnRecipe
    {
        $inner = $r->record('recipe');
        $recipe = RecipeFile::recipe($inner);
        $inner->close();

        $note = $r->text('note', '');

        return $r->within(fn (): OwnRecipe => new OwnRecipe($uid, $recipe, $r->extra(), $note));
    }

    public static function colour(Record $r, string $uid): Colour
    {
        $mix = array_map(function (Record $one): array {
            $part = ['base' => $one->text('base'), 'parts' => $one->number('parts')];
            $one->close();

            return $part;
        }, $r->records('mix'));

        $tied = null;
        if ($r->has('tied')) {
            $t = $r->record('tied');
            $tied = ['of' => $t->text('of'), 'base' => $t->text('base'), 'parts' => $t->number('parts')];
            $t->close();
        }

        return $r->within(fn (): Colour => new Colour($uid, $r->text('name'), $mix, $r->text('season', ''), $r->extra(), $tied));
    }

    /** @return array<string, mixed> */
    public static function fromColour(Colour $c): array
    {
        return ['uid' => $c->uid, 'name' => $c->name, 'mix' => $c->mix, 'season' => $c->season] +
            ($c->tied === null ? [] : ['tied' => $c->tied]) +
            $c->extra;
    }

    public static function laid(Record $r, string $uid): CoatApplication
    {
        $amounts = [];
        foreach ($r->records('amounts') as $a) {
            $amounts[] = new MaterialAmount($a->text('material'), $a->number('amount'), $a->text('unit'), $a->number('recovered', 0.0));
            $a->close();
        }
        $seen = [];
        foreach ($r->records('seen') as $s) {
            $seen[] = ['at' => self::moment($s, 'at'), 'what' => $s->text('what'), 'of' => $s->text('of', 'next_coat')];
            $s->close();
        }
        $rings = [];
        foreach ($r->list('rings') as $k => $ring) {
            $rings[] = self::ring(is_array($ring) ? array_values($ring) : [], $r->at('rings').'/'.$k);
        }
        $ticks = [];
        foreach ($r->has('ticks') ? $r->records('ticks') : [] as $t) {
            $ticks[(int) $t->number('step')] = self::moment($t, 'at');
            $t->close();
        }
        $recipe = $r->record('recipe');
        $strippedAt = $r->has('stripped_at') ? self::moment($r, 'stripped_at') : null;

        return new CoatApplication(
            $uid,
            $r->text('section'),
            $r->text('zone'),
            $r->text('coat'),
            (int) $r->number('pass'),
            $r->text('title'),
            RecipeFile::recipe($recipe),
            $r->number('mm'),
            $rings,
            $r->number('area_mm2'),
            $r->number('track_mm'),
            (int) $r->number('minutes'),
            $amounts,
            self::moment($r, 'started_at'),
            $r->has('ended_at') ? self::moment($r, 'ended_at') : null,
            $seen,
            $r->extra(),
            $ticks,
            $strippedAt,
        );
    }

    /**
     * @param  list<Record>  $records
     * @return list<array{int, string}>
     */
    public static function stood(array $records): array
    {
        $out = [];
        foreach ($records as $r) {
            $out[] = [self::moment($r, 'until'), $r->text('room')];
            $r->close();
        }

        return $out;
    }

    /**
     * @param  list<array{int, string}>  $stood
     * @return list<array{until: string, room: string}>
     */
    public static function fromStood(array $stood): array
    {
        return array_map(fn (array $one): array => ['until' => self::iso($one[0]), 'room' => $one[1]], $stood);
    }

    public static function benchTime(Record $r, string $uid): BenchTime
    {
        $weekday = $r->numberOrNull('weekday');
        $kind = InvalidValue::unlessOneOf(BenchTimeKind::class, $r->text('kind'), $r->at('kind'));
        $open = $kind !== BenchTimeKind::Closed;

        return new BenchTime(
            $uid,
            $kind,
            $weekday === null ? null : (int) $weekday,
            $r->has('date') ? $r->text('date') : null,
            $open ? self::clock($r, 'from') : 0,
            $open ? self::clock($r, 'to') : 0,
            (int) $r->number('hands', 1.0),
            until: $r->has('until') ? $r->text('until') : null,
            who: $r->text('who', ''),
            extra: $r->extra(),
        );
    }

    /** @return array<string, mixed> */
    public static function fromZone(Zone $z): array
    {
        return ['uid' => $z->uid, 'section' => $z->section, 'name' => $z->name, 'without' => $z->without] +
            ($z->outline === null || $z->along !== null ? [] : ['outline' => $z->outline]) +
            ($z->along === null ? [] : ['along' => $z->along]) +
            ($z->water === null ? [] : ['water' => $z->water]) +
            ($z->shore === null ? [] : ['shore_mm' => $z->shore]) +
            ($z->under === [] ? [] : ['under' => $z->under]) +
            ($z->slope === null ? [] : ['slope_deg' => $z->slope]) +
            ($z->near === null
                ? []
                : [
                    'near' => ($z->near['run'] === null ? [] : ['run' => $z->near['run']]) + [
                        'from_mm' => $z->near['from'],
                        'to_mm' => $z->near['to'],
                    ],
                ]) +
            ($z->height === null ? [] : ['height_mm' => $z->height]) +
            ($z->damp === null ? [] : ['damp' => $z->damp]) +
            ($z->aspect === null ? [] : ['aspect' => $z->aspect]) +
            ($z->within === [] ? [] : ['within' => $z->within]) +
            ($z->also === [] ? [] : ['also' => $z->also]) +
            ($z->made === null ? [] : ['made' => $z->made]) +
            ($z->backdrop === null ? [] : ['backdrop' => ['edge' => $z->backdrop['edge'], 'height_mm' => $z->backdrop['height']]]) +
            ($z->crowns === null || $z->under !== [] || $z->along !== null
                ? []
                : ['crowns' => array_map(fn (array $c): array => ['x_mm' => $c[0], 'y_mm' => $c[1], 'wide_mm' => $c[2]], $z->crowns)]) +
            $z->extra;
    }

    /** @return array<string, mixed> */
    public static function fromCoat(Coat $c): array
    {
        return [
            'uid' => $c->uid,
            'zone' => $c->zone,
            'recipe' => $c->recipe->base(),
            'mm' => $c->mm,
            'share' => $c->share,
            'passes' => $c->passes,
            'name' => $c->name,
        ] +
            ($c->way === null ? [] : ['way' => $c->way]) +
            ($c->pieces === null || $c->pieces->isEmpty() ? [] : ['pieces' => self::fromPieces($c->pieces)]) +
            ($c->minutes === null ? [] : ['minutes' => $c->minutes]) +
            ($c->colour === null ? [] : ['colour' => $c->colour]) +
            ($c->blend <= 0.0 ? [] : ['blend_mm' => $c->blend]) +
            $c->extra;
    }

    /** @return array<string, mixed> */
    private static function fromPieces(CoatPieces $p): array
    {
        return ($p->stones === [] ? [] : ['stones_mm' => $p->stones]) +
            ($p->stripe <= 0.0 ? [] : ['stripe_mm' => $p->stripe]) +
            ($p->piece === null ? [] : ['piece_mm' => $p->piece]) +
            ($p->joint <= 0.0 ? [] : ['joint_mm' => $p->joint]);
    }

    /** @return array<string, mixed> */
    public static function fromRecipe(OwnRecipe $own): array
    {
        return ['uid' => $own->uid, 'recipe' => RecipeFile::write($own->recipe)] +
            ($own->note === '' ? [] : ['note' => $own->note]) +
            $own->extra;
    }

    /** @return array<string, mixed> */
    public static function fromLaid(CoatApplication $l): array
    {
        return [
            'uid' => $l->uid,
            'section' => $l->section,
            'zone' => $l->zone,
            'coat' => $l->coat,
            'pass' => $l->pass,
            'title' => $l->title,
            'recipe' => RecipeFile::write($l->recipe),
            'mm' => $l->mm,
            'rings' => $l->rings,
            'area_mm2' => $l->area,
            'track_mm' => $l->track,
            'minutes' => $l->minutes,
            'amounts' => array_map(
                fn (MaterialAmount $a): array => [
                    'material' => $a->material,
                    'amount' => $a->amount,
                    'unit' => $a->unit,
                    'recovered' => $a->recovered,
                ],
                $l->amounts,
            ),
            'started_at' => self::iso($l->startedAt),
            'seen' => array_map(fn (array $s): array => ['at' => self::iso($s['at']), 'what' => $s['what'], 'of' => $s['of']], $l->seen),
        ] +
            ($l->endedAt === null ? [] : ['ended_at' => self::iso($l->endedAt)]) +
            ($l->strippedAt === null ? [] : ['stripped_at' => self::iso($l->strippedAt)]) +
            ($l->ticks === []
                ? []
                : ['ticks' => array_map(fn (int $k): array => ['step' => $k, 'at' => self::iso($l->ticks[$k])], array_keys($l->ticks))]) +
            $l->extra;
    }

    /** @return array<string, mixed> */
    public static function fromTime(BenchTime $t): array
    {
        return ['uid' => $t->uid, 'kind' => $t->kind->value] +
            ($t->weekday === null ? [] : ['weekday' => $t->weekday]) +
            ($t->date === null ? [] : ['date' => $t->date]) +
            ($t->kind === BenchTimeKind::Closed
                ? []
                : ['from' => BenchTime::clock($t->from), 'to' => BenchTime::clock($t->to), 'hands' => $t->hands]) +
            ($t->until === null ? [] : ['until' => $t->until]) +
            ($t->who === '' ? [] : ['who' => $t->who]) +
            $t->extra;
    }

    public static function iso(int $minute): string
    {
        return (new DateTimeImmutable('@'.$minute * 60))->format('Y-m-d\TH:i\Z');
    }

    public static function moment(Record $r, string $key): int
    {
        return self::minute($r->text($key), $r->at($key));
    }

    /** @throws InvalidValue */
    public static function minute(string $text, string $at): int
    {
        $read = DateTimeImmutable::createFromFormat('!Y-m-d\TH:i\Z', $text, new DateTimeZone('UTC'));
        if ($read === false || $read->format('Y-m-d\TH:i\Z') !== $text) {
            throw new InvalidValue('expected a moment such as 2026-10-14T18:30Z', $at);
        }

        return intdiv($read->getTimestamp(), 60);
    }

    private static function clock(Record $r, string $key): int
    {
        return BenchTime::minute($r->text($key), $r->at($key));
    }

    /** @return array{float, float} */
    private static function pair(Record $r, string $key): array
    {
        $pair = self::points($r->list($key), $r->at($key));

        return count($pair) === 2 ? [$pair[0], $pair[1]] : throw new InvalidValue('expected two numbers', $r->at($key));
    }

    /**
     * @param  list<mixed>  $points
     * @return list<array{float, float}>
     */
    private static function ring(array $points, string $at): array
    {
        $ring = [];
        foreach ($points as $k => $p) {
            $pair = is_array($p) ? self::points(array_values($p), "{$at}/{$k}") : [];
            $ring[] = count($pair) === 2 ? [$pair[0], $pair[1]] : throw new InvalidValue('expected [x, y]', "{$at}/{$k}");
        }

        return $ring;
    }

    /**
     * @param  list<mixed>  $numbers
     * @return list<float>
     */
    private static function points(array $numbers, string $at): array
    {
        return array_map(
            fn (mixed $n): float => is_int($n) || is_float($n) ? (float) $n : throw new InvalidValue('expected a number', $at),
            $numbers,
        );
    }
}
