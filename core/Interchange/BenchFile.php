<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\DueDate;
use IdleRidge\Core\Schedule\DueState;
use IdleRidge\Core\Schedule\WorkOrder;
use IdleRidge\Core\Shelf\ShelfRules;

/** How a builder plans, and what was read of the air of rooms, as they stand in a layout's file. */
final class BenchFile
{
    public static function rules(Record $r): BenchRules
    {
        $due = array_map(function (Record $d): DueDate {
            $state = InvalidValue::unlessOneOf(DueState::class, $d->text('milestone'), $d->at('milestone'));
            $one = $d->within(fn (): DueDate => new DueDate($d->text('section'), $d->text('date'), $state));
            $d->close();

            return $one;
        }, $r->records('due'));
        $tools = $r->has('tools') ? array_map(fn (float $n): int => (int) $n, $r->record('tools')->numbers()) : [];
        $rules = $r->within(
            fn (): BenchRules => new BenchRules(
                $r->number('certainty', 0.8),
                InvalidValue::unlessOneOf(WorkOrder::class, $r->text('order', WorkOrder::Free->value), 'order'),
                $tools,
                $due,
                $r->words('first'),
                $r->has('ways') ? $r->texts('ways') : [],
                $r->number('alcohol', Library::USUAL_STOCK),
                $r->has('shelf') ? StockFile::rules($r->record('shelf')) : new ShelfRules(),
            ),
        );
        $r->close();

        return $rules;
    }

    /** @return array<string, mixed> */
    public static function fromRules(BenchRules $rules): array
    {
        return [
            'certainty' => $rules->certainty,
            'order' => $rules->order->value,
            'due' => array_map(
                fn (DueDate $d): array => ['section' => $d->section, 'date' => $d->date, 'milestone' => $d->state->value],
                $rules->due,
            ),
            'first' => $rules->first,
        ] +
            ($rules->tools === [] ? [] : ['tools' => $rules->tools]) +
            ($rules->ways === [] ? [] : ['ways' => $rules->ways]) +
            ($rules->alcohol === Library::USUAL_STOCK ? [] : ['alcohol' => $rules->alcohol]) +
            StockFile::fromRules($rules->shelf);
    }

    /** @return array{string, AirLog} room uid and its readings */
    public static function log(Record $r): array
    {
        $readings = [];
        foreach ($r->list('readings') as $k => $one) {
            $at = $r->at("readings/{$k}");
            [$moment, $temperature, $humidity] =
                is_array($one) && count($one) === 3 ? array_values($one) : throw new InvalidValue('expected [moment, °C, %]', $at);
            if (! is_string($moment) || ! is_numeric($temperature) || ! is_numeric($humidity)) {
                throw new InvalidValue('expected [moment, °C, %]', $at);
            }
            $readings[] = [WorksFile::minute($moment, $at), (float) $temperature, (float) $humidity];
        }
        $log = $r->within(fn (): AirLog => AirLog::of($readings));
        $room = $r->text('room');
        $r->close();

        return [$room, $log];
    }

    /**
     * @param  array<string, AirLog>  $logs
     * @return list<array<string, mixed>>
     */
    public static function fromLogs(array $logs): array
    {
        $out = [];
        foreach ($logs as $room => $log) {
            $out[] = [
                'room' => (string) $room,
                'readings' => array_map(fn (array $r): array => [WorksFile::iso($r[0]), $r[1], $r[2]], $log->readings),
            ];
        }

        return $out;
    }
}
