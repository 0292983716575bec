<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Where an image comes from that is not the publisher's as it was published (rule A15). */
final readonly class ImageOrigin
{
    /** Kind => as in "it is …". */
    public const KINDS = [
        'third-party' => 'put together by a third party',
        'modified' => 'the publisher\'s, changed by somebody',
    ];

    /**
     * @param  string  $from  who gives it out, or where
     * @param  string|null  $reason  why this one and not the publisher's
     * @param  string|null  $licence  under which it may be used; null where nobody says
     * @param  string|null  $updates  where its updates come from; null where nobody knows
     * @param  list<string>  $lacks  what was taken out of it
     */
    public function __construct(
        public string $kind,
        public string $from,
        public ?string $reason = null,
        public ?string $licence = null,
        public ?string $updates = null,
        public array $lacks = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('kind', array_keys(self::KINDS)),
            $fields->string('from'),
            $fields->optionalString('reason'),
            $fields->optionalString('licence'),
            $fields->optionalString('updates'),
            $fields->strings('lacks'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
