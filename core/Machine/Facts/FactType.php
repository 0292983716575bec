<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** How the value of a fact is taken. */
enum FactType: string
{
    /** A whole number, also where it was typed as text. */
    case Count = 'count';
    /** A number as it was given, with its unit in the fact's name. */
    case Measure = 'measure';
    /** A size: a number of bytes, or one with its unit, such as "16 GiB". */
    case Size = 'size';

    case YesNo = 'yes or no';
    /** One of some words. */
    case Choice = 'choice';
    case Text = 'text';
    /** Some words, in their order. */
    case Words = 'words';
}
