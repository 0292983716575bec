<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** How far a fact can be trusted: unknown is a value of its own, never a guess. */
enum Certainty: string
{
    case Known = 'known';
    case Assumed = 'assumed';
    case Unknown = 'unknown';
}
