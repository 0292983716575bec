<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** To whom a fact belongs: what is found on one machine of a model holds for the next only where it is the model's. */
enum FactOwner: string
{
    case Model = 'model';
    case Machine = 'machine';
    case Owner = 'owner';
    case Job = 'job';
}
