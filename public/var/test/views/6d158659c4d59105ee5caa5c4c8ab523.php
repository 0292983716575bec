<?php ($d = $core['drawing']); ?>
<?php ($left = \App\Drawing\CoreDrawing::left()); ?>
<?php ($width = \App\Drawing\CoreDrawing::core()); ?>
<figure class="core">
<figcaption><b><?php echo e($core['title']); ?></b> · <span title="<?php echo e(\Cobblestone\Quantity\Bytes::of($core['bytes'])->exact()); ?>"><?php echo e(\Cobblestone\Quantity\Bytes::of($core['bytes'])->decimal()); ?>, shown as <?php echo e(\Cobblestone\Quantity\Bytes::of($core['bytes'])->binary()); ?></span>. <?php echo e($core['note']); ?></figcaption>
<svg viewBox="0 0 360 <?php echo e($d->height()); ?>" role="img" aria-label="<?php echo e($core['title']); ?>, cut open: left as it is now, right as it will be. The table below says the same.">
<?php echo $__env->make('parts.textures', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<text class="side" x="<?php echo e($left + $width / 4); ?>" y="16">now</text><text class="side" x="<?php echo e($left + $width * 0.75); ?>" y="16">after</text>
<?php $__currentLoopData = $d->bands; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $band): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<path class="band <?php echo e($band['role']); ?>" d="<?php echo e($band['path']); ?>"/>
<?php if($band['lost']): ?><path class="teeth" d="M<?php echo e($left + 4); ?> <?php echo e(round($band['y'], 1)); ?>l5 4l5 -4l5 4l5 -4l5 4l5 -4l5 4l5 -4"/><?php endif; ?>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $d->labels; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $label): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<?php ($x = $label['left'] ? $left - 12 : $left + $width + 12); ?>
<path class="lead" d="M<?php echo e($label['left'] ? $left - 3 : $left + $width + 3); ?> <?php echo e(round($label['at'], 1)); ?>L<?php echo e($x + ($label['left'] ? 3 : -3)); ?> <?php echo e(round($label['y'] - 3, 1)); ?>"/>
<text class="part <?php echo e($label['left'] ? 'end' : ''); ?> <?php echo e($label['lost'] ? 'lost' : ''); ?>" x="<?php echo e($x); ?>" y="<?php echo e(round($label['y'], 1)); ?>"><title><?php echo e($label['name']); ?>: <?php echo e($label['exact']); ?></title><?php echo e(\Illuminate\Support\Str::limit($label['name'], 17, '…')); ?></text>
<text class="size <?php echo e($label['left'] ? 'end' : ''); ?>" x="<?php echo e($x); ?>" y="<?php echo e(round($label['y'] + 12, 1)); ?>"><?php echo e($label['size']); ?></text>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<path class="rim" d="M<?php echo e($left - 3); ?> <?php echo e($d->depth(0)); ?>H<?php echo e($left + $width + 3); ?>M<?php echo e($left - 3); ?> <?php echo e($d->depth($core['bytes'])); ?>H<?php echo e($left + $width + 3); ?>"/>
<path class="cut" d="M<?php echo e($left + $width / 2); ?> <?php echo e($d->depth(0) - 8); ?>V<?php echo e($d->depth($core['bytes']) + 8); ?>"/>
</svg>
<p class="fine"><?php echo e($d->legend()); ?> Teeth: lost. Depth grows with place to the power <?php echo e(\App\Drawing\CoreDrawing::EXPONENT); ?>, so small parts stay visible.</p>
<details><summary>Exact places</summary>
<div class="table-responsive"><table class="plain"><thead><tr><th></th><th>part</th><th class="num">first sector</th><th class="num">sectors</th><th class="num">bytes</th></tr></thead><tbody>
<?php $__currentLoopData = $core['now'] ?? []; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $part): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><tr><td>now</td><td><?php echo e($part['name']); ?></td><td class="num"><?php echo e($part['first_sector'] ?? '–'); ?></td><td class="num"><?php echo e($part['sectors'] ?? '–'); ?></td><td class="num"><?php echo e(number_format($part['bytes'], 0, '.', ' ')); ?></td></tr><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $core['after']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $part): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><tr><td>after</td><td><?php echo e($part['name']); ?> <small><?php echo e($part['file_system']); ?></small></td><td class="num"><?php echo e($part['first_sector']); ?></td><td class="num"><?php echo e($part['sectors']); ?></td><td class="num"><?php echo e(number_format($part['bytes'], 0, '.', ' ')); ?></td></tr><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</tbody></table></div>
<p class="fine"><?php echo e(strtoupper($core['layout']['scheme'])); ?>, sectors of <?php echo e($core['layout']['sector_bytes']); ?> bytes, <?php echo e(number_format($core['layout']['device_sectors'], 0, '.', ' ')); ?> in all.</p></details>
</figure>
<?php /**PATH /work/main/resources/views/parts/core.blade.php ENDPATH**/ ?>