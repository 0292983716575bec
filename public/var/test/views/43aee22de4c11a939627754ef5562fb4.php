<?php if($bell !== []): ?>
<?php ($first = $bell[0]); ?>
<div class="bell <?php echo e($first['overdue'] ? 'late' : ''); ?>" role="status">
<a href="/jobs/<?php echo e($first['job']); ?>/run?stone=<?php echo e($first['step']); ?>" class="bell-first"><?php if($first['due'] !== 0): ?><b class="clock" data-until="<?php echo e(now()->timestamp + $first['due']); ?>"><?php echo e($first['due'] < 0 ? '+' : ''); ?><?php echo e(sprintf('%d:%02d', intdiv(abs($first['due']), 60), abs($first['due']) % 60)); ?></b><?php else: ?><b>Now</b><?php endif; ?>
 <span><?php echo e($first['slot'] === null ? '' : "Slot {$first['slot']}, "); ?><?php echo e($first['title']); ?>: <?php echo \App\View\Words::html($first['action']); ?></span></a>
<?php if(count($bell) > 1): ?><a href="/bell" class="bell-rest">and <?php echo e(count($bell) - 1); ?> more <?php echo e(count($bell) === 2 ? 'waits' : 'wait'); ?></a><?php endif; ?>
</div>
<?php endif; ?>
<?php /**PATH /work/main/resources/views/parts/bell.blade.php ENDPATH**/ ?>