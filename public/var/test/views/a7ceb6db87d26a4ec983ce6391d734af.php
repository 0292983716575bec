<?php $__env->startSection('title', 'Sticks'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Sticks</h1><span class="goal"><?php echo e($sticks->count()); ?> in the register</span></header>
<?php if($sticks->isEmpty()): ?><div class="panel empty"><p><b>No stick is registered.</b></p><p>A path then asks for any stick of the right size. Register sticks as files in the catalogue's folder <code>sticks</code>.</p></div><?php else: ?>
<div class="panel table-responsive"><table class="plain list"><thead><tr><th>stick</th><th>serial</th><th class="num">size</th><th>plug</th><th class="num">writes</th><th class="num">reads</th><th>health</th><th>contents</th></tr></thead><tbody>
<?php $__currentLoopData = $sticks; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $entry): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><?php ($stick = new \Cobblestone\Catalogue\Stick($entry->document)); ?>
<tr><td><a href="/catalogue/sticks/<?php echo e($entry->slug); ?>"><?php echo e($stick->name); ?></a></td><td class="mono"><?php echo e($stick->serial() ?? 'none'); ?></td><td class="num" title="<?php echo e($stick->size()->exact()); ?>"><?php echo e($stick->size()->decimal()); ?> · <?php echo e($stick->size()->binary()); ?></td><td><?php echo e($stick->connector()); ?></td><td class="num"><?php echo e($stick->writeRate()->label()); ?></td><td class="num"><?php echo e($stick->readRate()->label()); ?></td><td><?php echo e($stick->health()); ?></td><td><?php echo e($stick->contents() ?? 'not known'); ?><?php echo e($stick->contentsMayGo() ? '' : ' · must stay'); ?></td></tr><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</tbody></table></div><?php endif; ?>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/catalogue/sticks.blade.php ENDPATH**/ ?>