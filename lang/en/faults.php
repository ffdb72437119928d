<?php

// What went wrong with what somebody typed, and how to mend it, where students and guardians read it too; core/ and the
// actions know the codes alone.
return [
    'absence' => [
        'backwards' => 'The last day is before the first.',
        'long' => 'An absence lasts :n days at most. Tell the school of a longer one.',
        'over' => 'This day is over. Write to the school; it can excuse an absence afterwards.',
    ],
    'code' => [
        'write' => 'Write the join code: ten letters and figures.',
        'slip' => 'This join code has a slip in it. Compare it character by character; there are no vowels in it.',
        'none' => 'No class has this join code. Look it up on the course page again.',
    ],
    'date' => [
        'none_such' => 'There is no date :date.',
        'iso' => '":text" is not a date. Write year-month-day, as in 2027-02-18.',
        'unread' => '":typed" is not a date. Write it as 18 Feb, 18/2 or Thu 18.',
        'order' => '":typed" is not a date. The day comes first, as in 18/2 for 18 Feb.',
        'none' => 'There is no date ":typed". Write a day that the month has.',
        'weekday' => 'In :year that day is :date. Which of the two is meant?',
        'outside' => 'No ":typed" lies in the term. Write the month too, as in 18 Feb.',
        'several' => '":typed" can be any of these: :some. Write the month too.',
    ],
    'factor' => [
        'wrong' => 'This code is not the one of now. Check the clock of your device, and type the next.',
        'on' => 'Two-step sign-in is on already. Turn it off before you set it up again.',
        'many' => 'Too many wrong codes. Wait a quarter of an hour, and sign in again.',
    ],
    'password' => [
        'many' => 'Too many wrong passwords. Try again in a quarter of an hour.',
        'short' => 'A password has :n characters at least. A few words are easy to keep in mind.',
        'long' => 'A password has :n characters at most.',
        'common' => 'This password is one of the most common ones, and tried first. Choose another.',
        'repeats' => 'This password repeats a few characters. Choose one that is harder to guess.',
        'known' => 'This password is made of your name, address or school. Choose something else.',
        'link' => 'This link has been used, or has ended. Ask for a new one.',
        'old' => 'That is not your password of now.',
    ],
    'registration' => [
        'follows' => 'This class follows its roster; nobody registers for it. Ask your school to enrol you.',
        'opens' => 'Registration opens on :day.',
        'closed' => 'Registration closed on :day.',
        'none_left' => 'No session of this class is left to come to.',
        'choose' => 'Choose at least one session.',
        'moved' => 'One of these sessions is over or was moved. Choose from the list as it is now.',
        'already' => 'You are registered for this already; how it stands is written above.',
        'name' => 'Write your whole name, as the school knows it.',
        'email' => 'Write your e-mail address, as in name@school.example.',
        'list' => 'Choose sessions from the list.',
    ],
    'room' => 'The room did not open: :why Try again in a minute, or come in by phone.',
    'time' => [
        'unread' => '":typed" is not a time of day. Write it as 9, 9:05, 0905 or 9.05am.',
        'hour' => '":typed" is not a time of day: there is no hour :hour.',
        'early' => ':time is before 07:00. Is that meant?',
        'late' => ':time is after 21:00. Is that meant?',
        'or' => ':one or :other?',
        'figures' => ':why Write it with four figures, as in 15:00 or 03:00.',
    ],
];
