<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;

/** One removable drive of the bench's register. */
final readonly class Stick
{
    /**
     * @param  string  $connector  usb-a or usb-c
     * @param  string  $health  good, watch or retired
     * @param  string|null  $keptFor  which job has it until when, in words; null where it is free
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public int $bytes,
        public string $connector,
        public int|float $writeMbS,
        public int|float $readMbS,
        public string $health,
        public bool $contentsMayGo,
        public ?string $contents = null,
        public ?string $serial = null,
        public int $sectorBytes = 512,
        public ?StickFaults $standIn = null,
        public ?string $keptFor = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the sticks schema accepts
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->int('bytes'),
            $fields->oneOf('connector', ['usb-a', 'usb-c']),
            $fields->number('write_mb_s'),
            $fields->number('read_mb_s'),
            $fields->oneOf('health', ['good', 'watch', 'retired']),
            $fields->bool('contents_may_go'),
            $fields->optionalString('contents'),
            $fields->optionalString('serial'),
            $fields->optionalInt('sector_bytes') ?? 512,
            $fields->optional('stand_in', StickFaults::read(...)),
            $fields->optionalString('kept_for'),
        );
    }

    public function size(): Bytes
    {
        return Bytes::of($this->bytes);
    }

    public function writeRate(): DataRate
    {
        return DataRate::megabytes($this->writeMbS);
    }

    public function readRate(): DataRate
    {
        return DataRate::megabytes($this->readMbS);
    }

    /** The register's entry with what is known of the stick now. */
    public function asNow(string $health, ?string $contents, ?DataRate $write, ?DataRate $read): self
    {
        return Copy::of($this, get_object_vars($this), [
            'health' => $health,
            'contents' => $contents,
            'writeMbS' => $write === null ? $this->writeMbS : $write->bytesPerSecond / 1e6,
            'readMbS' => $read === null ? $this->readMbS : $read->bytesPerSecond / 1e6,
        ]);
    }

    /** The same, kept for a job. */
    public function keptFor(?string $job): self
    {
        return Copy::of($this, get_object_vars($this), ['keptFor' => $job]);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['contents_may_go']);
    }
}
