<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="htmx-config" content='{"includeIndicatorStyles":false,"historyCacheSize":0,"refreshOnHistoryMiss":true,"allowEval":false,"responseHandling":[{"code":"204","swap":false},{"code":"[2345]..","swap":true}]}'>
<title><?php echo $__env->yieldContent('title', 'Cobblestone'); ?> · Cobblestone</title>
<link rel="icon" href="/mark.svg" type="image/svg+xml">
<link rel="stylesheet" href="/vendor/bootstrap.min.css">
<link rel="stylesheet" href="/app.css?v=<?php echo e(filemtime(public_path('app.css'))); ?>">
<script src="/vendor/htmx.min.js" defer></script>
<script src="/app.js?v=<?php echo e(filemtime(public_path('app.js'))); ?>" defer></script>
</head>
<body hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML show:window:top" hx-select-oob="#bell,#kerb">
<a class="skip" href="#page">To the page</a>
<div id="bell" <?php if(auth()->guard()->check()): ?> hx-get="/bell/strip" hx-trigger="every 20s" hx-target="this" hx-select="unset" hx-select-oob="unset" hx-swap="innerHTML" <?php endif; ?>><?php echo $__env->make('parts.bell', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></div>
<main id="page" class="page <?php echo $__env->yieldContent('page-class'); ?>" tabindex="-1" data-keys="<?php echo $__env->yieldContent('keys'); ?>">
<?php echo $__env->yieldContent('content'); ?>
</main>
<nav id="kerb" class="kerb" aria-label="Places">
<?php if(auth()->guard()->check()): ?>
<?php $__currentLoopData = $places; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $name => [$href, $key, $width]): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<a href="<?php echo e($href); ?>" class="<?php echo e($width); ?> <?php echo e($here === $name ? 'here' : ''); ?>" data-place="<?php echo e($key); ?>" <?php if($here === $name): ?> aria-current="page" <?php endif; ?>><?php echo e($name); ?> <i><?php echo e($key); ?></i></a>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<form method="post" action="/logout" class="who" hx-boost="false"><?php echo csrf_field(); ?><span><b><?php echo e(auth()->user()->title); ?></b> <button class="plain">sign out</button><br><small>hold <kbd>k</kbd> for letters, <kbd>h</kbd> for keys</small></span></form>
<?php endif; ?>
</nav>
</body>
</html>
<?php /**PATH /work/main/resources/views/layout.blade.php ENDPATH**/ ?>