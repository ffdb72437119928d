<?php

return [
    'students' => ':count student|:count students',
    'sessions' => ':count session|:count sessions',
    'sections' => ':count section|:count sections',
    'teachers' => ':count teacher|:count teachers',
    'dates' => ':count date|:count dates',
    'people' => ':count person|:count people',
    'series' => ':count series|:count series',
    'more' => 'and :count more|and :count more',
];
