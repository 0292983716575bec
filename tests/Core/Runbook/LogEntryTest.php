<?php

use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;

it('keeps what it says under the number that it gets', function () {
    $noted = new LogEntry(1, EntryKind::Done, 'media.write', 1_796_000_000, 'lead', ['text' => 'twice', 'evidence' => [
        'sha256' => 'as expected',
    ]]);
    $written = $noted->numbered(4711);
    expect($written->id)->toBe(4711)
        ->and([...get_object_vars($written), 'id' => 1])->toBe(get_object_vars($noted))
        ->and($written->said('text'))->toBe('twice')
        ->and($written->said('evidence'))->toBe('')
        ->and($written->parts('evidence'))->toBe(['sha256' => 'as expected'])
        ->and($noted->id)->toBe(1);
});
