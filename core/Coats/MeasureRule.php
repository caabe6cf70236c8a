<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** What the amount of an ingredient follows from. */
enum MeasureRule: string
{
    case Area = 'area';
    case Volume = 'volume';
    case Pores = 'pores';
    case Plaster = 'plaster';
    case Edge = 'edge';
    case Length = 'length';
    case Tree = 'tree';
    case Post = 'post';
    case Wire = 'wire';
    case Dam = 'dam';
    case Strip = 'strip';

    /** The unit of a value that is told so, such as g/m²; of plaster what water goes on powder. */
    public function rate(string $unit): string
    {
        return match ($this) {
            self::Area => "{$unit}/m²",
            self::Volume => "{$unit}/ml",
            self::Edge, self::Length, self::Wire, self::Dam => "{$unit}/m",
            self::Plaster => 'ml/g',
            self::Pores => '',
            self::Tree, self::Post, self::Strip => $unit,
        };
    }

    /** What one of its values is for, behind the figure and its unit. */
    public function each(): string
    {
        return match ($this) {
            self::Edge => 'of edge',
            self::Length => 'along it',
            self::Wire => 'of wire',
            self::Dam => 'of dam',
            self::Tree => 'a tree',
            self::Post => 'each',
            self::Strip => 'a strip',
            self::Pores => 'share of pores',
            self::Plaster => 'water to powder',
            self::Area, self::Volume => '',
        };
    }
}
