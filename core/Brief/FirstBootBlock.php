<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What this job answers otherwise than the bench does at the first start; null where it does not (rule I4). */
final readonly class FirstBootBlock
{
    public const USES = ['personal', 'work', 'shared'];

    public const ACCOUNTS = ['local-first', 'online-first'];

    public const RESTORES = ['new', 'restore'];

    public function __construct(
        public ?string $computerName = null,
        public ?string $region = null,
        public ?string $keyboard = null,
        public ?string $use = null,
        public ?string $account = null,
        public ?string $restore = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalString('computer_name'),
            $fields->optionalString('region'),
            $fields->optionalString('keyboard'),
            $fields->optionalOneOf('use', self::USES),
            $fields->optionalOneOf('account', self::ACCOUNTS),
            $fields->optionalOneOf('restore', self::RESTORES),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
