<?php

return [
    'looks_again' => 'This page looks again by itself.',
];
