<?php ($local = $at->copy()->timezone(config('cobblestone.timezone'))); ?>
<time datetime="<?php echo e($at->toIso8601String()); ?>"><?php echo e($local->isSameDay(now(config('cobblestone.timezone'))) ? $local->format('H:i') : $local->format('j M H:i')); ?></time>
<?php /**PATH /work/main/resources/views/parts/time.blade.php ENDPATH**/ ?>