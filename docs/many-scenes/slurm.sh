#!/usr/bin/env bash
#SBATCH --job-name=land-cover
#SBATCH --array=1-16
#SBATCH --cpus-per-task=4
#SBATCH --mem=8G
#SBATCH --time=02:00:00
#SBATCH --output=%x-%a.log
# sbatch slurm.sh SHEET SCENES FOLDER: a part of the rows on each machine of an array. FOLDER is on a
# disk that all of them see. Afterwards, on one of them:
#   zpatch gather FOLDER/results-*-of-16.csv --out FOLDER/results.csv
# Submitted again, it does what is missing.
set -eu
sheet=$1 scenes=$2 folder=$3
exec zpatch --threads "$SLURM_CPUS_PER_TASK" run "$sheet" --over "$scenes" --into "$folder" \
  --part "$SLURM_ARRAY_TASK_ID/$SLURM_ARRAY_TASK_COUNT"
