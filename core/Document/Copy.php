<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use ReflectionClass;

/** A readonly value with some of its properties changed; the rest stays as it is. */
final class Copy
{
    /**
     * @template T of object
     *
     * @param  T  $value  whose constructor takes each of its properties under its own name
     * @param  array<string, mixed>  $properties  all of them, as get_object_vars() gives them inside the class
     * @param  array<string, mixed>  $changes
     * @return T
     */
    public static function of(object $value, array $properties, array $changes): object
    {
        return (new ReflectionClass($value))->newInstanceArgs([...$properties, ...$changes]);
    }
}
