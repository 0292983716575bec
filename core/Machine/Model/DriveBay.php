<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What the place of a drive really takes (rule H2). */
final readonly class DriveBay
{
    /** Form of a drive => how it is said. The numbers of M.2 are millimetres, width and length. */
    public const FORMS = [
        'm2-2230' => 'M.2, 22 × 30 mm',
        'm2-2242' => 'M.2, 22 × 42 mm',
        'm2-2280' => 'M.2, 22 × 80 mm',
        '2.5-inch' => '2.5 inch',
        '3.5-inch' => '3.5 inch',
    ];

    public const INTERFACES = ['nvme' => 'NVMe', 'sata' => 'SATA'];

    /**
     * @param  string  $form  one of FORMS
     * @param  string  $interface  one of INTERFACES: what the slot is wired for, whatever its keying lets in
     * @param  string|null  $keying  letter of an M.2 slot
     * @param  int|float|null  $heightMm  the most that fits, spreader included
     */
    public function __construct(
        public string $form,
        public string $interface,
        public ?string $keying = null,
        public int|float|null $heightMm = null,
        public ?string $where = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('form', array_keys(self::FORMS)),
            $fields->oneOf('interface', array_keys(self::INTERFACES)),
            $fields->optionalString('keying'),
            $fields->optionalNumber('height_mm'),
            $fields->optionalString('where'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
