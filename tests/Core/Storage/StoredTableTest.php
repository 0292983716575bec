<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Reading\ReadPartition;
use Cobblestone\Storage\Reading\TableReading;

it('comes back from a report as it was read', function () {
    $esp = PartitionType::EfiSystem->guid();
    $table = new TableReading(
        'gpt',
        512,
        [new ReadPartition(1, 2048, 4096, $esp, 'start', 'A-1', true), new ReadPartition(2, 8192, 10, '0x0C')],
        ['The copy is damaged.'],
        ['A gap of 2 MiB.'],
        hybrid: true,
        bootCode: true,
        gptCopy: 'backup',
        diskGuid: 'B-2',
    );
    $stored = json_decode((string) json_encode($table->toArray()), true);
    $again = TableReading::read(Fields::of($stored));
    expect($again)->toEqual($table)
        ->and($again->partitions[0]->isEfiSystem())->toBeTrue()
        ->and($again->toArray())->toBe($table->toArray())
        ->and(fn () => TableReading::read(Fields::of([...$stored, 'scheme' => 'apm'], 'table')))
        ->toThrow(FieldFault::class, 'table.scheme')
        ->and(fn () => TableReading::read(Fields::of([...$stored, 'partitions' => [['number' => 1]]], 'table')))
        ->toThrow(FieldFault::class, 'table.partitions.0.first_sector');
});
