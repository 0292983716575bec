<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Starts what a model's traits bring by the names that are agreed upon, bootName and initializeName.
 * The framework's own way looks through all 400 methods of every model for attributes; a page has five models.
 */
trait StartsByName
{
    protected static function bootTraits(): void
    {
        self::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot{$name}")) {
                static::{"boot{$name}"}();
            }
            if (method_exists(static::class, "initialize{$name}")) {
                self::$traitInitializers[static::class][] = "initialize{$name}";
            }
        }
    }
}
